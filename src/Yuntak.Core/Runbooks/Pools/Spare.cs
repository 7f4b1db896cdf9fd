using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Where the content of a pool can stay while it is taken apart or laid out anew.</summary>
internal static class Spare
{
    /// <summary>All disks of a pool added up.</summary>
    public static ByteSize Raw(Host host, Pool pool) => host.DisksOf(pool).Aggregate(ByteSize.Zero, (sum, d) => sum + d.Size);

    /// <summary>A pool that stays as it is, or is new on other disks, with room for so much; the same host first, then the roomiest. Null when there is none.</summary>
    public static (HostId Host, string Pool)? For(Plan plan, HostId host, Pool leaves, ByteSize bytes)
    {
        var best = plan
            .Draft.Hosts.SelectMany(h => plan.Sums.Host(h.Id)!.Pools.Select(p => (Host: h, Budget: p)))
            .Where(p => !p.Budget.Pool.DiskIds.Any(leaves.DiskIds.Contains) || p.Host.Id != host)
            .Where(p => Stays(plan, p.Host, p.Budget.Pool))
            .Select(p => (p.Host.Id, p.Budget.Pool.Name, Room: RoomIn(plan, p.Host.Id, p.Budget)))
            .Where(p => p.Room >= bytes)
            .OrderByDescending(p => p.Id == host)
            .ThenByDescending(p => p.Room)
            .FirstOrDefault();
        return best.Name is null ? null : (best.Id, best.Name);
    }

    /// <summary>The stop that says that there is none.</summary>
    public static Halt Nowhere(Host host, Pool pool, ByteSize bytes) =>
        new(
            host.Id,
            $"{pool.Name} on {host.Name} cannot come apart",
            $"{bytes.ToDecimalString()} in it have nowhere to go: no other pool has that much room.",
            "Add disks as a pool of their own, here or on another host, or empty it. A disk of another computer counts once it is in the kit."
        );

    private static bool Stays(Plan plan, Host host, Pool planned) =>
        PoolPairs
            .Of(plan.AsBuilt.Host(host.Id), host)
            .Where(p => p.After?.Name == planned.Name)
            .All(p => p.Before is null || !new PoolChange(p.Before, planned).Anew);

    /// <summary>Room both now and as planned; of a pool that is new, as planned, where data that it is said to hold already may be this.</summary>
    private static ByteSize RoomIn(Plan plan, HostId host, PoolBudget planned)
    {
        var stands = plan.AsBuilt.Host(host) is null ? null : plan.Standing.Host(host)?.Pool(planned.Pool.Name);
        return stands is null ? planned.Spare + planned.Pool.AlreadyUsed : ByteSize.Min(stands.Spare, planned.Spare);
    }
}
