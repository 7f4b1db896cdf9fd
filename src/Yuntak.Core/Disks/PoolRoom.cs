using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>How much room a pool has, step by step: raw → after parity → after padding → after reserve → comfortable.</summary>
/// <param name="Raw">All disks added up.</param>
/// <param name="AfterParity">Without mirrors' copies and parity.</param>
/// <param name="AfterPadding">Without the padding of a copy-on-write parity pool.</param>
/// <param name="AfterReserve">Without the reserve of a copy-on-write pool.</param>
/// <param name="Compression">How many bytes of data a stored byte holds; 1 for none.</param>
public sealed record PoolRoom(ByteSize Raw, ByteSize AfterParity, ByteSize AfterPadding, ByteSize AfterReserve, double Compression = 1)
{
    /// <summary>What there is room for: what the reserve leaves, times what compression makes of it.</summary>
    public ByteSize Usable => AfterReserve * Compression;

    /// <summary>The line past which writes slow down; 80 % (common practice).</summary>
    public ByteSize Comfort => Usable * ComfortShare;

    /// <summary>The share of the room past which a pool is no longer comfortable; common practice.</summary>
    public static readonly Share ComfortShare = new(0.8);

    /// <summary>The block that pool room is quoted at: 128 KiB.</summary>
    public const int QuotedBlock = 128 * 1024;

    /// <summary>The usual physical sector, in bytes.</summary>
    public const int Sector = 4096;

    private static readonly ByteSize MostReserve = ByteSize.FromGiB(128);
    private static readonly ByteSize LeastReserve = ByteSize.FromMiB(128);

    /// <summary>The room of a pool made of spinning disks of these sizes.</summary>
    /// <param name="layout">How the disks of a group share the data.</param>
    /// <param name="family">Block array or copy-on-write.</param>
    /// <param name="disks">Sizes; with dedicated parity the parity disks first.</param>
    /// <param name="groups">How many groups the disks are split into.</param>
    public static PoolRoom Of(PoolLayout layout, PoolFamily family, IReadOnlyList<ByteSize> disks, int groups = 1) =>
        Of(DiskGroup.Split(layout, [.. disks.Select(d => new DiskSpec(d))], groups), family);

    /// <summary>The room of a pool in its host, with what compression makes of it. Blocks are padded to the largest physical sector among its disks, 4,096 bytes where nobody read it.</summary>
    /// <param name="pool">The pool.</param>
    /// <param name="disks">Those of its disks that are there, in the pool's order. A disk that is missing is counted: the room stays as long as the pool stands.</param>
    public static PoolRoom Of(Pool pool, IReadOnlyList<Disk> disks)
    {
        var groups = DiskGroup.Split(pool.Layout, PoolMembers.Of(pool, disks), pool.Groups);
        var room = Whole(pool, disks, groups);
        // A pool on a part of its disks, or of a layout that is only guessed: what its own tools say counts.
        return pool.Size is { } size && room.AfterReserve > ByteSize.Zero ? room with { AfterReserve = size } : room;
    }

    private static PoolRoom Whole(Pool pool, IReadOnlyList<Disk> disks, IReadOnlyList<DiskGroup> groups) =>
        PoolMembers.IsLost(groups, pool.DiskIds.Count - disks.Count)
            ? new PoolRoom(Sum(groups, g => g.Raw), default, default, default)
            : Of(groups, pool.Family, sector: disks.Select(d => d.Sector ?? Sector).DefaultIfEmpty(Sector).Max()) with
            {
                Compression = pool.Family == PoolFamily.CopyOnWrite ? pool.Compression : 1,
            };

    /// <summary>The room of a pool of one or more groups.</summary>
    /// <param name="groups">The groups.</param>
    /// <param name="family">Block array or copy-on-write.</param>
    /// <param name="block">The block written at once, in bytes; matters for parity in copy-on-write pools.</param>
    /// <param name="sector">The physical sector, in bytes.</param>
    public static PoolRoom Of(IReadOnlyList<DiskGroup> groups, PoolFamily family, int block = QuotedBlock, int sector = Sector)
    {
        var raw = Sum(groups, g => g.Raw);
        if (groups.Any(g => !g.HasEnough))
        {
            return new PoolRoom(raw, default, default, default);
        }

        var afterParity = Sum(groups, g => g.AfterParity);
        if (family == PoolFamily.BlockArray)
        {
            return new PoolRoom(raw, afterParity, afterParity, afterParity);
        }

        var afterPadding = ByteSize.Min(afterParity, Sum(groups, g => g.AfterPadding(block, sector)));
        var usable = afterPadding - ByteSize.Max(LeastReserve, ByteSize.Min(MostReserve, afterPadding / 32));
        return new PoolRoom(raw, afterParity, afterPadding, ByteSize.Max(usable, ByteSize.Zero));
    }

    private static ByteSize Sum(IReadOnlyList<DiskGroup> groups, Func<DiskGroup, ByteSize> of) =>
        groups.Aggregate(ByteSize.Zero, (sum, g) => sum + of(g));

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
            pool.Family == PoolFamily.BlockArray ? "raw − copies and parity"
                : Compression > 1 ? "(raw − copies and parity − padding − reserve) × compression"
                : "raw − copies and parity − padding − reserve",
            () =>
                [
                    new($"raw, {Numbers.Count(disks, "disk")}", Raw.ToDecimalString(), Origin.Read),
                    new($"after {pool.Layout.Words()}", AfterParity.ToDecimalString()),
                    new("after padding at 128 KiB blocks", AfterPadding.ToDecimalString()),
                    new(
                        pool.Size is null ? "after reserve (1/32, at most 128 GiB, at least 128 MiB)" : "as its own tools say",
                        AfterReserve.ToDecimalString()
                    ),
                    .. Compression > 1
                        ? [new FigureInput("times what compression makes of it", $"{Numbers.Short(Compression)} ×", Origin.Entered)]
                        : Array.Empty<FigureInput>(),
                ],
            new Source("sector arithmetic; reserve from memory"),
            size => $"{size.ToDecimalString()} ({size})"
        );

    private static int CeilingOf(int a, int b) => (a + b - 1) / b;
}
