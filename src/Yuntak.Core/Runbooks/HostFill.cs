using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>How full hosts and pools are at a moment of the work: what has to be free before a guest moves, grows or is built.</summary>
internal sealed class HostFill
{
    private readonly Dictionary<(HostId Host, string Pool), ByteSize> free = [];

    /// <summary>As it stands. A host or pool that grows has grown before guests are moved; one that shrinks does so after.</summary>
    public HostFill(Plan plan)
    {
        foreach (var host in plan.Draft.Hosts.Concat(plan.AsBuilt.Hosts.Where(h => plan.Draft.Host(h.Id) is null)))
        {
            var (stands, planned) = (plan.Standing.Host(host.Id), plan.Sums.Host(host.Id));
            free[(host.Id, WorkLoad.Memory)] =
                ByteSize.Max(Room(stands), Room(planned)) - (stands is null ? ByteSize.Zero : Guests(stands));
            foreach (var pool in planned?.Pools ?? [])
            {
                free[(host.Id, pool.Pool.Name)] = pool.Room.Usable - pool.BesideGuests;
            }

            foreach (var pool in stands?.Pools ?? [])
            {
                var name = PoolPairs.NameAfter(plan, host.Id, pool.Pool.Name)!;
                var room = ByteSize.Max(pool.Room.Usable, pool.Claimed.Value) - pool.BesideGuests;
                free[(host.Id, name)] = free.TryGetValue((host.Id, name), out var known) ? ByteSize.Max(known, room) : room;
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

    private static ByteSize Room(HostAssessment? host) => host is null ? ByteSize.Zero : host.Memory.Total - host.Memory.Kept;

    private static ByteSize Guests(HostAssessment host) => host.Memory.Shares.Aggregate(ByteSize.Zero, (sum, s) => sum + s.Committed);

    /// <summary>What is free of a host's memory or a pool.</summary>
    public ByteSize Free(HostId host, string pool) => free.GetValueOrDefault((host, pool));

    /// <summary>The places that are known: hosts' memory and pools.</summary>
    public IEnumerable<(HostId Host, string Pool)> Places => free.Keys;

    /// <summary>Whether there is room for some work now.</summary>
    public bool Fits(WorkLoad load) => load.Takes.All(t => t.Bytes <= Free(t.Host, t.Pool));

    /// <summary>Whether the places some work takes of are not overfull, it among them.</summary>
    public bool HasRoomFor(WorkLoad settled) => settled.Takes.All(t => Free(t.Host, t.Pool) >= ByteSize.Zero);

    /// <summary>Some work is done.</summary>
    public void Settle(WorkLoad load)
    {
        foreach (var (host, pool, bytes) in load.Takes)
        {
            Take(host, pool, bytes);
        }

        foreach (var (host, pool, bytes) in load.Gives)
        {
            Take(host, pool, ByteSize.Zero - bytes);
        }
    }

    /// <summary>So much of a place is taken; given back where it is negative.</summary>
    public void Take(HostId host, string pool, ByteSize bytes) => free[(host, pool)] = Free(host, pool) - bytes;
}
