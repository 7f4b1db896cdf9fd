using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>When one disk's worth of parity is thin: from 5 disks in a group, from 8 TB a disk, past five years; common practice.</summary>
internal static class ParityAdvice
{
    /// <summary>Disks in a group from which two are advised.</summary>
    public const int ManyDisks = 5;

    /// <summary>The age in years past which two are advised.</summary>
    public const double OldYears = 5;

    /// <summary>The size of a disk from which two are advised.</summary>
    public static readonly ByteSize LargeDisk = ByteSize.FromTB(8);

    /// <summary>How many are advised.</summary>
    public static int Wanted(int disks, ByteSize largest, double ageYears) =>
        disks >= ManyDisks || largest >= LargeDisk || ageYears > OldYears ? 2 : 1;
}
