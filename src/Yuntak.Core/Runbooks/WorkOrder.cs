using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>The order in which work is done: what something waits for first, then by phase; among guests the first that fits into what is free at that moment.</summary>
internal sealed class WorkOrder
{
    private readonly Plan plan;
    private readonly List<(Work Work, HashSet<int> After, Phase Phase, int Start, HostId? Host, ByteSize Growth)> all;
    private readonly Dictionary<HostId, ByteSize> used;

    private WorkOrder(Plan plan, IReadOnlyList<Work> works)
    {
        this.plan = plan;
        var gives = works.SelectMany((w, n) => w.Gives(plan).Select(c => (c, n))).ToLookup(g => g.c, g => g.n);
        all =
        [
            .. works.Select(
                (w, n) =>
                {
                    var (host, growth) = Growth(w);
                    return (
                        w,
                        w.Needs(plan).SelectMany(c => gives[c]).Where(g => g != n).ToHashSet(),
                        w.Phase(plan),
                        StartOrder(w),
                        host,
                        growth
                    );
                }
            ),
        ];
        used = plan.Standing.Hosts.ToDictionary(h => h.Host.Id, h => h.Memory.Committed.Value);
    }

    /// <summary>The work in order, each with the places in that order of what it waits for. What waits for itself in a circle comes with a stop.</summary>
    public static IReadOnlyList<(Work Work, IReadOnlyList<int> After, bool Circle)> Of(Plan plan, IReadOnlyList<Work> works) =>
        new WorkOrder(plan, works).Ordered();

    private List<(Work, IReadOnlyList<int>, bool)> Ordered()
    {
        List<(Work, IReadOnlyList<int>, bool)> ordered = [];
        Dictionary<int, int> placed = [];
        List<int> waiting = [.. Enumerable.Range(0, all.Count).OrderBy(n => all[n].Phase).ThenBy(n => all[n].Start)];
        // How many of those it waits for are not placed yet, and who waits for whom: nobody is asked again until something it waits for is there.
        var blocked = all.Select(w => w.After.Count).ToArray();
        var waitFor = all.SelectMany((w, n) => w.After.Select(a => (a, n))).ToLookup(w => w.a, w => w.n);
        while (waiting.Count > 0)
        {
            var ready = waiting.FindIndex(n => blocked[n] == 0);
            var circle = ready < 0;
            var fits = circle ? -1 : waiting.FindIndex(ready, n => blocked[n] == 0 && Fits(n));
            var place = circle ? 0 : Math.Max(ready, fits);
            var next = waiting[place];
            placed[next] = ordered.Count;
            waiting.RemoveAt(place);
            foreach (var other in waitFor[next])
            {
                blocked[other]--;
            }

            Settle(all[next].Work);
            ordered.Add((all[next].Work, [.. all[next].After.Where(placed.ContainsKey).Select(a => placed[a])], circle));
        }

        return ordered;
    }

    private int StartOrder(Work work)
    {
        if (work.Guest is not { } id)
        {
            return 0;
        }

        var planned = plan.Draft.Guest(id);
        var book = (planned is null ? plan.AsBuilt : plan.Draft).Book;
        return (planned ?? plan.AsBuilt.Guest(id))!.Wants.Min(w => book.Get(w.ProfileId).StartOrder);
    }

    /// <summary>Whether what it adds to its host fits into what is free at this moment.</summary>
    private bool Fits(int n) =>
        all[n].Host is not { } host || used.GetValueOrDefault(host) + all[n].Growth <= plan.Draft.Host(host)!.Memory;

    /// <summary>What some work adds to the memory taken of a host.</summary>
    private (HostId? Host, ByteSize Growth) Growth(Work work)
    {
        if (work.Guest is not { } id || plan.Planned(id) is not { } after || plan.Draft.HostOf(after) is not { } host)
        {
            return (null, ByteSize.Zero);
        }

        var before = plan.Stands(id);
        var same = before is not null && before.Placement?.Host == after.Placement?.Host;
        return (host.Id, GuestWork.Memory(plan.Sums, after) - (same ? GuestWork.Memory(plan.Standing, before!) : ByteSize.Zero));
    }

    private void Settle(Work work)
    {
        // What stands half built has its memory already.
        if (work.Guest is not { } id || (work.Builds && plan.Stands(id) is not null))
        {
            return;
        }

        if (plan.Stands(id) is { Placement.Host: var from } before)
        {
            used[from] = used.GetValueOrDefault(from) - GuestWork.Memory(plan.Standing, before);
        }

        if (plan.Planned(id) is { Placement.Host: var to } after)
        {
            used[to] = used.GetValueOrDefault(to) + GuestWork.Memory(plan.Sums, after);
        }
    }
}
