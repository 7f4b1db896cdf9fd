using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>
/// Lets some work through that fits at the end but not now: guests whose own turn comes later, and who leave or shrink then, go off until it comes; where it is room
/// that is missing, their volumes go to a third place meanwhile.
/// </summary>
/// <param name="plan">The plan.</param>
/// <param name="works">All work; what is let through is replaced by the same with somebody stepping aside first.</param>
/// <param name="loads">What each takes and gives.</param>
/// <param name="fill">How full everything is now.</param>
internal sealed class SteppingAside(Plan plan, Work[] works, WorkLoad[] loads, HostFill fill)
{
    private readonly HashSet<int> gone = [];

    /// <summary>Makes room for some work, if that can be done.</summary>
    /// <param name="n">Its place among all.</param>
    /// <param name="waiting">Those whose turn has not come.</param>
    public bool Let(int n, IReadOnlyList<int> waiting)
    {
        List<(int Who, Act Act, Action Settle)> aside = [];
        foreach (var (host, pool, bytes) in loads[n].Takes)
        {
            var missing = bytes - fill.Free(host, pool);
            foreach (
                var (who, gives) in waiting
                    .Where(w => w != n && works[w].Guest is { } id && plan.Stands(id) is { RunsIn: null })
                    .Select(w =>
                        (w, loads[w].Gives.Where(g => g.Host == host && g.Pool == pool).Aggregate(ByteSize.Zero, (sum, g) => sum + g.Bytes))
                    )
                    .Where(w => w.Item2 > ByteSize.Zero)
                    .OrderByDescending(w => w.Item2)
            )
            {
                if (missing <= ByteSize.Zero)
                {
                    break;
                }

                if (Step(who, host, pool, gives) is var (acts, settle, frees))
                {
                    aside.AddRange(acts.Select(a => (who, a, settle)));
                    missing = missing - frees;
                }
            }

            if (missing > ByteSize.Zero)
            {
                return false;
            }
        }

        foreach (var settle in aside.Select(a => a.Settle).Distinct())
        {
            settle();
        }

        works[n] = new AfterSteppingAside(works[n], [.. aside.Select(a => a.Act).Distinct()]);
        return true;
    }

    private (IReadOnlyList<Act> Acts, Action Settle, ByteSize Frees)? Step(int who, HostId host, string pool, ByteSize gives)
    {
        var id = works[who].Guest!.Value;
        var guest = plan.Stands(id)!;
        // Who lies on another host meanwhile, having stepped aside before, does not go on from there.
        if (!WorkLoad.Standing(plan, id).TryGetValue((host, WorkLoad.Memory), out var memory))
        {
            return null;
        }

        var off = new ShutDownMeanwhile(id, host);
        if (pool == WorkLoad.Memory)
        {
            return ([off], () => GoOff(who, host, memory), memory);
        }

        // A volume of a guest that only changes its pool is copied by its own work, from where it lies.
        if (works[who] is not MoveOldGuest)
        {
            return null;
        }

        var third = fill
            .Places.Where(p =>
                p.Pool != WorkLoad.Memory
                && p != (host, pool)
                && fill.Free(p.Host, p.Pool) >= gives
                && plan.AsBuilt.Host(p.Host)?.PoolNamed(p.Pool) is not null
            )
            .OrderByDescending(p => p.Host == host)
            .ThenByDescending(p => fill.Free(p.Host, p.Pool))
            .FirstOrDefault();
        if (third.Pool is null)
        {
            return null;
        }

        var (place, size) = (guest.Placement!, plan.Standing.Guest(id));
        List<Act> acts = [new BackupGuest(id, host), off];
        foreach (var bulk in new[] { false, true })
        {
            if ((bulk ? place.BulkPool : place.SystemPool) is { } from && PoolPairs.NameAfter(plan, host, from) == pool)
            {
                acts.Add(new ParkVolume(id, host, bulk, pool, third.Host, third.Pool, bulk ? size.Bulk : size.SystemDisk));
            }
        }

        if (!acts.Exists(a => a is ParkVolume))
        {
            // What it gives there was parked there before; it is not moved twice.
            return null;
        }

        return (
            acts,
            () =>
            {
                GoOff(who, host, memory);
                fill.Take(host, pool, ByteSize.Zero - gives);
                fill.Take(third.Host, third.Pool, gives);
                loads[who] = loads[who] with
                {
                    Gives = [.. loads[who].Gives.Where(g => (g.Host, g.Pool) != (host, pool)), (third.Host, third.Pool, gives)],
                };
            },
            gives
        );
    }

    /// <summary>A guest is off from now on: its own work later needs all its memory, where it stays, and gives none.</summary>
    private void GoOff(int who, HostId host, ByteSize memory)
    {
        var load = loads[who];
        var grows = load.Takes.Where(t => t.Host == host && t.Pool == WorkLoad.Memory).Aggregate(ByteSize.Zero, (sum, t) => sum + t.Bytes);
        var gives = load.Gives.Where(g => g.Host == host && g.Pool == WorkLoad.Memory).Aggregate(ByteSize.Zero, (sum, g) => sum + g.Bytes);
        // Who is off already gives no more by being asked again.
        if (memory == ByteSize.Zero || !gone.Add(who))
        {
            return;
        }

        fill.Take(host, WorkLoad.Memory, ByteSize.Zero - memory);
        var again = memory + grows - gives;
        loads[who] = new(
            [
                .. load.Takes.Where(t => t.Host != host || t.Pool != WorkLoad.Memory),
                .. again > ByteSize.Zero ? [(host, WorkLoad.Memory, again)] : Array.Empty<(HostId, string, ByteSize)>(),
            ],
            [.. load.Gives.Where(g => g.Host != host || g.Pool != WorkLoad.Memory)]
        );
    }
}
