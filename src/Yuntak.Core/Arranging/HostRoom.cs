using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Arranging;

/// <summary>What a host has for guests: the figures of its budgets with nobody on it, so that the arrangement and the assessment count the same.</summary>
internal sealed class HostRoom
{
    /// <summary>Cores are counted in whole billionths, bytes as they are.</summary>
    public const double CoreParts = 1e9;

    private const double Tolerance = 1e-9;

    /// <param name="number">Which it is.</param>
    /// <param name="empty">The host with nobody on it.</param>
    /// <param name="offer">What it could be bought as; null for a host of the lab.</param>
    public HostRoom(int number, HostAssessment empty, HostOffer? offer)
    {
        (Number, Empty, Offer) = (number, empty, offer);
        var memory = empty.Memory;
        var effective = empty.Processor.Effective.Value.Value;
        List<Limit> limits =
        [
            new(
                RoomLine.Memory,
                0,
                (memory.Total - memory.Hard).Bytes,
                Part(MemoryBudget.TightShare, memory.Total) - memory.Committed.Value.Bytes
            ),
            new(RoomLine.Promised, 0, null, Part(MemoryBudget.PromisedShare, memory.Total) - memory.Promised.Bytes),
            new(RoomLine.Vcpu, 0, null, (long)(ProcessorBudget.TightVcpuPerThread.Value * Host.Processor.Threads)),
        ];
        if (effective > 0)
        {
            limits.AddRange(
                Enumerable
                    .Range(0, DayShape.Hours)
                    .Select(hour => new Limit(
                        RoomLine.Cores,
                        hour,
                        Parts(effective, ProcessorBudget.OverShare),
                        Parts(effective, ProcessorBudget.TightShare)
                    ))
            );
        }

        for (var n = 0; n < empty.Pools.Count; n++)
        {
            var pool = empty.Pools[n];
            if (pool.IsLost)
            {
                continue;
            }

            var usable = pool.Room.Usable;
            limits.Add(new(RoomLine.Pool, n, pool.Spare.Bytes, Part(PoolRoom.ComfortShare, usable) - pool.Claimed.Value.Bytes));
            if (pool.Pool.Thin)
            {
                limits.Add(new(RoomLine.PoolPromised, n, null, Part(PoolBudget.PromisedShare, usable) - pool.Promised.Bytes));
            }
        }

        Limits = limits;
    }

    /// <summary>Which of the hosts it is, from 0.</summary>
    public int Number { get; }

    /// <summary>The host with nobody on it.</summary>
    public HostAssessment Empty { get; }

    /// <summary>The host.</summary>
    public Host Host => Empty.Host;

    /// <summary>What it could be bought as; null for a host of the lab.</summary>
    public HostOffer? Offer { get; }

    /// <summary>Its lines.</summary>
    public IReadOnlyList<Limit> Limits { get; }

    /// <summary>Its pools.</summary>
    public IReadOnlyList<PoolBudget> Pools => Empty.Pools;

    /// <summary>How much more memory the host needs for guests to have so much more of it: a larger host keeps a little more for reading.</summary>
    public ByteSize MemoryFor(ByteSize more)
    {
        var add = more;
        for (var n = 0; n < 60; n++)
        {
            var floor = ReadCache.FloorOf(Host with { Memory = Host.Memory + add }, Empty.Memory.ReadCache);
            var next = more + (floor - Empty.Memory.CacheFloor);
            if (next == add)
            {
                break;
            }

            add = next;
        }

        return add;
    }

    private static long Part(Share share, ByteSize of) => (long)Math.Floor(share.Value * (1 + Tolerance) * of.Bytes);

    private static long Parts(double cores, Share share) => (long)Math.Floor(cores * share.Value * (1 + Tolerance) * CoreParts);
}
