using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>
/// When one disk's worth of parity is thin: from 5 disks in a group, from 8 TB a spinning disk, past five years; common practice. Parity on disks of its own counts as
/// parity. Flash is spared the size rule: it rebuilds in an hour or two.
/// </summary>
internal static class ParityAdvice
{
    /// <summary>Disks in a group from which two are advised.</summary>
    public const int ManyDisks = 5;

    /// <summary>The age in years past which two are advised.</summary>
    public const double OldYears = 5;

    /// <summary>The size of a spinning disk from which two are advised.</summary>
    public static readonly ByteSize LargeDisk = ByteSize.FromTB(8);

    /// <summary>How many are advised for disks that share one group.</summary>
    public static int Wanted(IReadOnlyList<DiskSpec> disks, double ageYears) => Reasons(disks, ageYears > OldYears).Any() ? 2 : 1;

    /// <summary>Why two are advised for disks that share one group; empty when one is enough.</summary>
    /// <param name="disks">The disks.</param>
    /// <param name="old">Whether one of them is past five years.</param>
    public static IEnumerable<ParityReason> Reasons(IReadOnlyList<DiskSpec> disks, bool old)
    {
        if (disks.Count >= ManyDisks)
        {
            yield return ParityReason.Number;
        }

        if (disks.Any(d => !d.IsFlash && d.Size >= LargeDisk))
        {
            yield return ParityReason.Size;
        }

        if (old)
        {
            yield return ParityReason.Age;
        }
    }

    /// <summary>The groups of single parity where two are advised, each with the reasons.</summary>
    public static IEnumerable<(DiskGroup Group, IReadOnlyList<ParityReason> Reasons)> Thin(IReadOnlyList<DiskGroup> groups, bool old) =>
        from all in groups
        where all.Layout.ParityDisks() == 1
        let reasons = Reasons([.. all.Disks], old).ToList()
        where reasons.Count > 0
        select (all, (IReadOnlyList<ParityReason>)reasons);

    /// <summary>A reason with its figures: «6 disks», «disks of 20 TB».</summary>
    public static string Words(this ParityReason reason, IReadOnlyList<DiskSpec> disks) =>
        reason switch
        {
            ParityReason.Number => Numbers.Count(disks.Count, "disk"),
            ParityReason.Size => $"disks of {disks.Where(d => !d.IsFlash).Max(d => d.Size).ToDecimalString()}",
            ParityReason.Age => "disks past five years",
        };
}
