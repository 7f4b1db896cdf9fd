using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>Disks that share data among themselves. A pool is one or more groups side by side: it lasts as long as all of them do.</summary>
/// <param name="Layout">How they share it.</param>
/// <param name="Disks">Their sizes. With dedicated parity the parity disks come first.</param>
public sealed record DiskGroup(PoolLayout Layout, ValueList<ByteSize> Disks)
{
    /// <summary>All disks added up.</summary>
    public ByteSize Raw => Disks.Aggregate(ByteSize.Zero, (sum, d) => sum + d);

    /// <summary>Whether there are enough disks for the layout.</summary>
    public bool HasEnough => Disks.Count >= Layout.FewestDisks();

    /// <summary>What is left without copies and parity; nothing with too few disks.</summary>
    public ByteSize AfterParity =>
        !HasEnough
            ? ByteSize.Zero
            : Layout switch
            {
                PoolLayout.Single or PoolLayout.Mirror => Disks.Min(),
                PoolLayout.Stripe => Raw,
                PoolLayout.StripedMirrors => Pairs.Aggregate(ByteSize.Zero, (sum, pair) => sum + pair[1]),
                PoolLayout.Dedicated1 or PoolLayout.Dedicated2 => DataDisks.Aggregate(
                    ByteSize.Zero,
                    (sum, d) => sum + ByteSize.Min(d, SmallestParity)
                ),
                PoolLayout.Parity1 or PoolLayout.Parity2 or PoolLayout.Parity3 => (Disks.Count - Layout.ParityDisks()) * Disks.Min(),
            };

    /// <summary>What no layout of this kind can use of these disks, because they differ in size: n disks count as n of the smallest.</summary>
    public ByteSize LeftOver =>
        !HasEnough
            ? ByteSize.Zero
            : Layout switch
            {
                PoolLayout.Single or PoolLayout.Stripe or PoolLayout.Dedicated1 or PoolLayout.Dedicated2 => ByteSize.Zero,
                PoolLayout.StripedMirrors => Raw - (2 * AfterParity),
                PoolLayout.Mirror or PoolLayout.Parity1 or PoolLayout.Parity2 or PoolLayout.Parity3 => Raw - (Disks.Count * Disks.Min()),
            };

    /// <summary>Room after padding, when blocks of a copy-on-write pool are written across the disks.</summary>
    /// <param name="block">The block in bytes.</param>
    /// <param name="sector">The physical sector in bytes.</param>
    public ByteSize AfterPadding(int block, int sector)
    {
        var parity = Layout.StripedParity();
        return parity == 0 || !HasEnough
            ? AfterParity
            : Disks.Count * Disks.Min() * PoolRoom.Efficiency(Disks.Count, parity, block, sector);
    }

    /// <summary>Whether the parity disks are at least as large as every data disk; true where parity is not on disks of its own.</summary>
    public bool ParityIsLargeEnough => !Layout.IsDedicated() || !HasEnough || SmallestParity >= DataDisks.Max();

    /// <summary>Splits disks over equal groups of one layout, similar sizes together; with dedicated parity the largest become the parity disks.</summary>
    public static IReadOnlyList<DiskGroup> Split(PoolLayout layout, IReadOnlyList<ByteSize> disks, int groups)
    {
        if (groups <= 1)
        {
            return [new DiskGroup(layout, [.. disks])];
        }

        List<ByteSize> sorted = [.. disks.OrderDescending()];
        var (width, more) = (sorted.Count / groups, sorted.Count % groups);
        List<DiskGroup> made = [];
        var at = 0;
        for (var n = 0; n < groups; n++)
        {
            var size = width + (n < more ? 1 : 0);
            made.Add(new DiskGroup(layout, [.. sorted.Skip(at).Take(size)]));
            at += size;
        }

        return made;
    }

    /// <summary>Largest with next largest, so that the least is lost to unequal pairs.</summary>
    private IEnumerable<ByteSize[]> Pairs => Disks.OrderDescending().Chunk(2).Where(pair => pair.Length == 2);

    private ByteSize SmallestParity => Disks.Take(Layout.ParityDisks()).Min();

    private IEnumerable<ByteSize> DataDisks => Disks.Skip(Layout.ParityDisks());
}
