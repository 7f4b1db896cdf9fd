using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Bench;

/// <summary>The smallest purchase that gives a pool more room, in the way its layout grows.</summary>
/// <param name="Count">Disks to buy.</param>
/// <param name="Size">Their size.</param>
/// <param name="Room">The room with them.</param>
public sealed record PoolNext(int Count, ByteSize Size, PoolRoom Room)
{
    /// <summary>The purchase for a pool; null while it has no disks in its host.</summary>
    public static PoolNext? Of(PoolBudget pool)
    {
        if (pool.Disks.Count == 0)
        {
            return null;
        }

        var disk = DiskSpec.Of(pool.Disks.MaxBy(d => d.Size)!);
        var twice = disk with { Size = 2L * disk.Size };
        var layout = pool.Pool.Layout;
        var groups = pool.Groups;
        var width = groups[0].Disks.Count;
        IReadOnlyList<DiskGroup> Wider(int more) =>
            [new DiskGroup(layout, [.. groups[0].Disks, .. Enumerable.Repeat(disk, more)]), .. groups.Skip(1)];
        var (count, larger) = layout switch
        {
            // These do not grow by disks: the same number of twice the size takes their place.
            PoolLayout.Single or PoolLayout.Mirror => (width, [new DiskGroup(layout, [.. Enumerable.Repeat(twice, width)])]),
            PoolLayout.Stripe or PoolLayout.Dedicated1 or PoolLayout.Dedicated2 => (1, Wider(1)),
            PoolLayout.StripedMirrors => (2, Wider(2)),
            PoolLayout.Parity1 or PoolLayout.Parity2 or PoolLayout.Parity3 => (
                width,
                (IReadOnlyList<DiskGroup>)[.. groups, new DiskGroup(layout, [.. Enumerable.Repeat(disk, width)])]
            ),
        };
        var bought = layout is PoolLayout.Single or PoolLayout.Mirror ? twice : disk;
        return new PoolNext(count, bought.Size, PoolRoom.Of(larger, pool.Pool.Family) with { Compression = pool.Room.Compression });
    }
}
