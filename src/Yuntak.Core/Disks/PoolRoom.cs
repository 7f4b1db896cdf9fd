using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>How much room a pool has, step by step: raw → after parity → after padding → after reserve → comfortable.</summary>
/// <param name="Raw">All disks added up.</param>
/// <param name="AfterParity">Without mirrors' copies and parity.</param>
/// <param name="AfterPadding">Without the padding of a copy-on-write parity pool.</param>
/// <param name="Usable">Without the reserve of a copy-on-write pool.</param>
/// <param name="Comfort">The line past which writes slow down; 80 % (common practice).</param>
public sealed record PoolRoom(ByteSize Raw, ByteSize AfterParity, ByteSize AfterPadding, ByteSize Usable, ByteSize Comfort)
{
    /// <summary>The share of the room past which a pool is no longer comfortable; common practice.</summary>
    public const double ComfortShare = 0.8;

    /// <summary>The block that pool room is quoted at: 128 KiB.</summary>
    public const int QuotedBlock = 128 * 1024;

    /// <summary>The usual physical sector, in bytes.</summary>
    public const int Sector = 4096;

    private static readonly ByteSize MostReserve = ByteSize.FromGiB(128);
    private static readonly ByteSize LeastReserve = ByteSize.FromMiB(128);

    /// <summary>The room of a pool made of these disks.</summary>
    public static PoolRoom Of(PoolLayout layout, PoolFamily family, IReadOnlyList<ByteSize> disks)
    {
        var raw = disks.Aggregate(ByteSize.Zero, (sum, d) => sum + d);
        if (disks.Count < layout.FewestDisks())
        {
            return new PoolRoom(raw, default, default, default, default);
        }

        var afterParity = AfterParityOf(layout, disks);
        if (family == PoolFamily.BlockArray)
        {
            return new PoolRoom(raw, afterParity, afterParity, afterParity, afterParity * ComfortShare);
        }

        var parity = layout.ParityDisks();
        var afterPadding = parity == 0 ? afterParity : disks.Count * disks.Min() * Efficiency(disks.Count, parity, QuotedBlock);
        var usable = afterPadding - ByteSize.Max(LeastReserve, ByteSize.Min(MostReserve, afterPadding / 32));
        usable = ByteSize.Max(usable, ByteSize.Zero);
        return new PoolRoom(raw, afterParity, afterPadding, usable, usable * ComfortShare);
    }

    /// <summary>
    /// The share of a copy-on-write parity pool that holds data, for one block size: D = ⌈B / a⌉ data sectors, P = p · ⌈D / (n − p)⌉ parity sectors,
    /// and the sum rounded up to a multiple of p + 1.
    /// </summary>
    /// <param name="disks">n, more than <paramref name="parity"/>.</param>
    /// <param name="parity">p, 1 to 3.</param>
    /// <param name="block">B in bytes.</param>
    /// <param name="sector">a in bytes.</param>
    public static double Efficiency(int disks, int parity, int block, int sector = Sector)
    {
        var data = CeilingOf(block, sector);
        var total = data + (parity * CeilingOf(data, disks - parity));
        total = CeilingOf(total, parity + 1) * (parity + 1);
        return data / (double)total;
    }

    /// <summary>The usable room as a figure that can be opened.</summary>
    public Figure<ByteSize> AsFigure(Pool pool, int disks) =>
        Figure.Of(
            $"room in {pool.Name}",
            Usable,
            pool.Family == PoolFamily.BlockArray ? "raw − copies and parity" : "raw − copies and parity − padding − reserve",
            () =>
                [
                    new($"raw, {Numbers.Count(disks, "disk")}", Raw, Origin.Read),
                    new($"after {pool.Layout.Words()}", AfterParity),
                    new("after padding at 128 KiB blocks", AfterPadding),
                    new("after reserve (1/32, at most 128 GiB, at least 128 MiB)", Usable),
                    new("comfortable up to 80 %", Comfort, Origin.Assumed),
                ],
            new Source("sector arithmetic; reserve from memory; comfort line is common practice")
        );

    private static ByteSize AfterParityOf(PoolLayout layout, IReadOnlyList<ByteSize> disks) =>
        layout switch
        {
            PoolLayout.Single or PoolLayout.Mirror => disks.Min(),
            PoolLayout.Stripe => disks.Count * disks.Min(),
            // Largest with next largest, so that the least is lost to unequal pairs.
            PoolLayout.StripedMirrors => disks
                .OrderDescending()
                .Chunk(2)
                .Where(pair => pair.Length == 2)
                .Aggregate(ByteSize.Zero, (sum, pair) => sum + pair[1]),
            _ => (disks.Count - layout.ParityDisks()) * disks.Min(),
        };

    private static int CeilingOf(int a, int b) => (a + b - 1) / b;
}
