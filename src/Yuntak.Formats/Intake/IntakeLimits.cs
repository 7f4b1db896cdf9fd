using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>How much is read at most.</summary>
public static class IntakeLimits
{
    /// <summary>The longest text: 8 MiB. The outputs of a host with a hundred disks stay under one.</summary>
    public static readonly ByteSize LongestText = ByteSize.FromMiB(8);

    /// <summary>The most disks taken from one text.</summary>
    public const int MostDisks = 512;
}
