using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Bench;

/// <summary>Memory that copy-on-write pools take for reading.</summary>
internal static class ReadCache
{
    private const long FloorPart = 16;
    private static readonly ByteSize Least = ByteSize.FromGiB(2);
    private static readonly ByteSize Floor = ByteSize.FromGiB(1);

    /// <summary>What the read cache keeps under pressure: 1 GiB, or a sixteenth of the memory where that is less, and never more than it wants; from memory.</summary>
    public static ByteSize FloorOf(Host host, ByteSize wanted) => ByteSize.Min(wanted, ByteSize.Min(Floor, host.Memory / FloorPart));

    /// <summary>The read cache of a host under the lab's school: a cap for the host, or 1 GiB for each TiB of pool and at least 2. None without such a pool.</summary>
    public static ByteSize Of(Host host, LabSettings settings)
    {
        var pools = host.Pools.Where(p => p.Family == PoolFamily.CopyOnWrite).ToList();
        if (pools.Count == 0)
        {
            return ByteSize.Zero;
        }

        if (settings.ReadCacheRule == ReadCacheRule.Cap)
        {
            return settings.ReadCacheCap;
        }

        var room = pools.Aggregate(ByteSize.Zero, (sum, p) => sum + PoolRoom.Of(p, [.. host.PartsOf(p)]).AfterReserve);
        return ByteSize.Max(Least, ByteSize.FromGiB(room.TiB));
    }
}
