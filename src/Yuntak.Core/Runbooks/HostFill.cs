using Yuntak.Core.Bench;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>How full hosts and pools are at a moment of the work: what has to be free before a guest moves, grows or is built.</summary>
internal sealed class HostFill
{
    private readonly Dictionary<(HostId Host, string Pool), long> free = [];

    /// <summary>As it stands. A host or pool that grows has grown before guests are moved; one that shrinks does so after.</summary>
    public HostFill(Plan plan)
    {
        foreach (var host in plan.Draft.Hosts.Concat(plan.AsBuilt.Hosts.Where(h => plan.Draft.Host(h.Id) is null)))
        {
            var (stands, planned) = (plan.Standing.Host(host.Id), plan.Sums.Host(host.Id));
            free[(host.Id, WorkLoad.Memory)] = Math.Max(Room(stands), Room(planned)) - (stands is null ? 0 : Guests(stands));
            foreach (var pool in planned?.Pools ?? [])
            {
                free[(host.Id, pool.Pool.Name)] = pool.Room.Usable.Bytes - Other(planned!, pool);
            }

            foreach (var pool in stands?.Pools ?? [])
            {
                var name = PoolPairs.NameAfter(plan, host.Id, pool.Pool.Name)!;
                var room = Math.Max(pool.Room.Usable.Bytes, pool.Claimed.Value.Bytes) - Other(stands!, pool);
                free[(host.Id, name)] = Math.Max(free.GetValueOrDefault((host.Id, name), long.MinValue), room);
            }
        }

        foreach (var guest in plan.AsBuilt.Guests.Where(g => g.RunsIn is null && plan.Stands(g.Id) is not null))
        {
            foreach (var ((host, pool), bytes) in WorkLoad.Standing(plan, guest.Id).Where(l => l.Key.Pool != WorkLoad.Memory))
            {
                free[(host, pool)] = free.GetValueOrDefault((host, pool)) - bytes;
            }
        }
    }

    private static long Room(HostAssessment? host) =>
        host is null ? long.MinValue : host.Memory.Total.Bytes - host.Memory.HostBase.Bytes - host.Memory.CacheFloor.Bytes;

    private static long Guests(HostAssessment host) => host.Memory.Shares.Sum(s => s.Committed.Bytes);

    private static long Other(HostAssessment host, PoolBudget pool) =>
        Math.Max(0, pool.Claimed.Value.Bytes - host.Guests.Sum(g => pool.ClaimOf(g).Bytes));

    /// <summary>What is free of a host's memory or a pool, in bytes.</summary>
    public long Free(HostId host, string pool) => free.GetValueOrDefault((host, pool));

    /// <summary>The places that are known: hosts' memory and pools.</summary>
    public IEnumerable<(HostId Host, string Pool)> Places => free.Keys;

    /// <summary>Whether there is room for some work now.</summary>
    public bool Fits(WorkLoad load) => load.Takes.All(t => t.Bytes <= Free(t.Host, t.Pool));

    /// <summary>Some work is done.</summary>
    public void Settle(WorkLoad load)
    {
        foreach (var (host, pool, bytes) in load.Takes)
        {
            Take(host, pool, bytes);
        }

        foreach (var (host, pool, bytes) in load.Gives)
        {
            Take(host, pool, -bytes);
        }
    }

    /// <summary>So much of a place is taken; given back where it is negative.</summary>
    public void Take(HostId host, string pool, long bytes) => free[(host, pool)] = Free(host, pool) - bytes;
}
