using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>Disks that share data among themselves. A pool is one or more groups side by side: it lasts as long as all of them do.</summary>
/// <param name="Layout">How they share it.</param>
/// <param name="Disks">Its disks. With dedicated parity the parity disks come first.</param>
public sealed record DiskGroup(PoolLayout Layout, ValueList<DiskSpec> Disks)
{
    /// <summary>All disks added up.</summary>
    public ByteSize Raw => Disks.Aggregate(ByteSize.Zero, (sum, d) => sum + d.Size);

    /// <summary>Whether there are enough disks for the layout.</summary>
    public bool HasEnough => Disks.Count >= Layout.FewestDisks();

    /// <summary>What is left without copies and parity; nothing with too few disks.</summary>
    public ByteSize AfterParity =>
        !HasEnough
            ? ByteSize.Zero
            : Layout switch
            {
                PoolLayout.Single or PoolLayout.Mirror => Smallest,
                PoolLayout.Stripe => Raw,
                PoolLayout.StripedMirrors => Pairs.Aggregate(ByteSize.Zero, (sum, pair) => sum + pair[1].Size),
                PoolLayout.Dedicated1 or PoolLayout.Dedicated2 => DataDisks.Aggregate(
                    ByteSize.Zero,
                    (sum, d) => sum + ByteSize.Min(d.Size, SmallestParity)
                ),
                PoolLayout.Parity1 or PoolLayout.Parity2 or PoolLayout.Parity3 => (Disks.Count - Layout.ParityDisks()) * Smallest,
            };

    /// <summary>What no layout of this kind can use of these disks, because they differ in size: n disks count as n of the smallest.</summary>
    public ByteSize LeftOver =>
        !HasEnough
            ? ByteSize.Zero
            : Layout switch
            {
                PoolLayout.Single or PoolLayout.Stripe or PoolLayout.Dedicated1 or PoolLayout.Dedicated2 => ByteSize.Zero,
                PoolLayout.StripedMirrors => Raw - (2 * AfterParity),
                PoolLayout.Mirror or PoolLayout.Parity1 or PoolLayout.Parity2 or PoolLayout.Parity3 => Raw - (Disks.Count * Smallest),
            };

    /// <summary>Room after padding, when blocks of a copy-on-write pool are written across the disks.</summary>
    /// <param name="block">The block in bytes.</param>
    /// <param name="sector">The physical sector in bytes.</param>
    public ByteSize AfterPadding(int block, int sector)
    {
        var parity = Layout.StripedParity();
        return parity == 0 || !HasEnough ? AfterParity : Disks.Count * Smallest * PoolRoom.Efficiency(Disks.Count, parity, block, sector);
    }

    /// <summary>Whether the parity disks are at least as large as every data disk; true where parity is not on disks of its own.</summary>
    public bool ParityIsLargeEnough => !Layout.IsDedicated() || !HasEnough || SmallestParity >= DataDisks.Max(d => d.Size);

    /// <summary>The smallest of its disks.</summary>
    public ByteSize Smallest => Disks.Min(d => d.Size);

    /// <summary>The largest of its disks.</summary>
    public ByteSize Largest => Disks.Max(d => d.Size);

    /// <summary>Hours to rebuild its largest disk, at the pace of the slowest of its disks.</summary>
    public double RebuildHours => Largest.Bytes / Disks.Min(d => d.RebuildRate) / DiskSpec.SecondsPerHour;

    /// <summary>Hours to read its largest disk through, at the pace of the slowest of its disks.</summary>
    public double ScrubHours => new DiskSpec(Largest, Disks.MinBy(d => d.SequentialRate)!.Kind).ScrubHours;

    /// <summary>How many of its disks may fail, whichever they are.</summary>
    public int Survives => Layout.Survives(Disks.Count);

    /// <summary>The parts that are lost on their own: the pairs of striped mirrors, else the group itself.</summary>
    public IEnumerable<DiskGroup> Parts =>
        Layout == PoolLayout.StripedMirrors ? Pairs.Select(p => new DiskGroup(PoolLayout.Mirror, [.. p])) : [this];

    /// <summary>Splits disks over groups of one layout; see <see cref="GroupSplit"/>. One group keeps the order in which they are given.</summary>
    public static IReadOnlyList<DiskGroup> Split(PoolLayout layout, IReadOnlyList<DiskSpec> disks, int groups) =>
        groups <= 1 ? [new DiskGroup(layout, [.. disks])] : new GroupSplit(layout, disks, groups).Into(groups);

    /// <summary>Largest with next largest, so that the least is lost to unequal pairs.</summary>
    private IEnumerable<DiskSpec[]> Pairs => Disks.OrderByDescending(d => d.Size).Chunk(2).Where(pair => pair.Length == 2);

    private ByteSize SmallestParity => Disks.Take(Layout.ParityDisks()).Min(d => d.Size);

    private IEnumerable<DiskSpec> DataDisks => Disks.Skip(Layout.ParityDisks());
}
