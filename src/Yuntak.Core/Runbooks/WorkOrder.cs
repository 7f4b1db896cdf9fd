using System.Numerics;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>
/// The order in which work is done: what something waits for first, then by phase; among guests the first that fits into what is free at that moment, in memory and
/// in pools. Where the first that fits leads nowhere other orders are tried, and where none leads anywhere a guest goes off for a while or through a third place.
/// </summary>
internal sealed class WorkOrder
{
    /// <summary>With more guests that move or grow than that, not all orders are tried.</summary>
    private const int MostTried = 16;

    private readonly Plan plan;
    private readonly List<(Work Work, HashSet<int> After, Phase Phase, int Start, WorkLoad Load)> all;

    private WorkOrder(Plan plan, IReadOnlyList<Work> works)
    {
        this.plan = plan;
        all = [.. works.Zip(Waits(plan, works), (w, after) => (w, after, w.Phase(plan), StartOrder(w), WorkLoad.Of(plan, w)))];
    }

    /// <summary>Of each work the places of those it waits for: they give what it needs.</summary>
    private static IEnumerable<HashSet<int>> Waits(Plan plan, IReadOnlyList<Work> works)
    {
        var gives = works.SelectMany((w, n) => w.Gives(plan).Select(c => (c, n))).ToLookup(g => g.c, g => g.n);
        return works.Select((w, n) => w.Needs(plan).SelectMany(c => gives[c]).Where(g => g != n).ToHashSet());
    }

    /// <summary>The work in order, each with the places in that order of what it waits for. What waits for itself in a circle comes with a stop.</summary>
    public static IReadOnlyList<(Work Work, IReadOnlyList<int> After, bool Circle)> Of(Plan plan, IReadOnlyList<Work> works)
    {
        var order = new WorkOrder(plan, works);
        return order.Ordered(null, mayStepAside: false)
            ?? (order.OtherOrder(rooms: false) is { } ranks ? order.Ordered(ranks, mayStepAside: false) : null)
            // Memory is free again as soon as somebody is off; room in pools is not.
            ?? (order.OtherOrder(rooms: true) is { } again ? order.Ordered(again, mayStepAside: true) : null)
            ?? order.Ordered(null, mayStepAside: true)!;
    }

    /// <summary>Whether some of the work waits for itself, round however many corners.</summary>
    public static bool HasCircle(Plan plan, IReadOnlyList<Work> works)
    {
        var after = Waits(plan, works).ToList();
        var waitFor = after.SelectMany((w, n) => w.Select(a => (a, n))).ToLookup(w => w.a, w => w.n);
        var blocked = after.Select(w => w.Count).ToArray();
        Queue<int> ready = new(Enumerable.Range(0, works.Count).Where(n => blocked[n] == 0));
        var through = 0;
        for (; ready.TryDequeue(out var next); through++)
        {
            foreach (var other in waitFor[next].Where(o => --blocked[o] == 0))
            {
                ready.Enqueue(other);
            }
        }

        return through < works.Count;
    }

    /// <summary>The order; null when nothing that is ready fits and nobody may step aside.</summary>
    /// <param name="ranks">In which order those that take room come, by their place among all; null for the first that fits.</param>
    /// <param name="mayStepAside">Whether guests may be off for a while to let others through.</param>
    private List<(Work, IReadOnlyList<int>, bool)>? Ordered(int[]? ranks, bool mayStepAside)
    {
        List<(Work, IReadOnlyList<int>, bool)> ordered = [];
        Dictionary<int, int> placed = [];
        List<int> waiting = [.. Enumerable.Range(0, all.Count).OrderBy(n => all[n].Phase).ThenBy(n => all[n].Start)];
        var works = all.Select(w => w.Work).ToArray();
        var loads = all.Select(w => w.Load).ToArray();
        // How many of those it waits for are not placed yet, and who waits for whom: nobody is asked again until something it waits for is there.
        var blocked = all.Select(w => w.After.Count).ToArray();
        var waitFor = all.SelectMany((w, n) => w.After.Select(a => (a, n))).ToLookup(w => w.a, w => w.n);
        var fill = loads.Any(l => l.Takes.Count > 0) ? new HostFill(plan) : null;
        var stepping = mayStepAside && fill is not null ? new SteppingAside(plan, works, loads, fill) : null;
        HostFill? end = null;
        var turn = 0;
        while (waiting.Count > 0)
        {
            Patience.Check();
            var ready = waiting.FindIndex(n => blocked[n] == 0);
            var circle = ready < 0;
            var place = circle ? 0 : waiting.FindIndex(ready, n => blocked[n] == 0 && InTurn(n) && (fill is null || fill.Fits(loads[n])));
            if (place < 0)
            {
                place = ready;
                // What would fit once everything is through is kept out by the order, and not by the plan.
                if (!mayStepAside && waiting.Exists(n => blocked[n] == 0 && (end ??= AtTheEnd()).HasRoomFor(loads[n])))
                {
                    return null;
                }

                if (mayStepAside)
                {
                    place = Math.Max(ready, waiting.FindIndex(n => blocked[n] == 0 && InTurn(n) && stepping!.Let(n, waiting)));
                }
            }

            var next = waiting[place];
            placed[next] = ordered.Count;
            waiting.RemoveAt(place);
            foreach (var other in waitFor[next])
            {
                blocked[other]--;
            }

            turn += IsLoaded(next) ? 1 : 0;
            fill?.Settle(loads[next]);
            ordered.Add((works[next], [.. all[next].After.Where(placed.ContainsKey).Select(a => placed[a])], circle));
        }

        return ordered;

        bool InTurn(int n) => ranks is null || !IsLoaded(n) || ranks[n] == turn;
    }

    private bool IsLoaded(int n) => all[n].Load is { } load && load.Takes.Count + load.Gives.Count > 0;

    /// <summary>How full everything is once all is through.</summary>
    private HostFill AtTheEnd()
    {
        var end = new HostFill(plan);
        foreach (var work in all)
        {
            end.Settle(work.Load);
        }

        return end;
    }

    /// <summary>An order of those that take or give room in which each fits when its turn comes; null when there is none or too many would have to be tried.</summary>
    /// <param name="rooms">Whether only room in pools counts, and memory does not.</param>
    private int[]? OtherOrder(bool rooms)
    {
        List<int> loaded = [.. Enumerable.Range(0, all.Count).Where(IsLoaded)];
        if (loaded.Count is 0 or > MostTried)
        {
            return null;
        }

        var before = loaded.Select(n => Before(n, loaded)).ToArray();
        var loads = loaded.Select(n => Counted(all[n].Load)).ToArray();
        // How full everything is follows from who has been through, so each set of them is looked at once.
        HashSet<int> seen = [];
        Stack<int> order = [];
        var fill = new HostFill(plan);
        if (!Search(0))
        {
            return null;
        }

        var ranks = new int[all.Count];
        foreach (var (place, rank) in order.Reverse().Select((n, rank) => (n, rank)))
        {
            ranks[loaded[place]] = rank;
        }

        return ranks;

        bool Search(int done)
        {
            if (BitOperations.PopCount((uint)done) == loaded.Count)
            {
                return true;
            }

            for (var n = 0; n < loaded.Count; n++)
            {
                var load = loads[n];
                if ((done & (1 << n)) != 0 || (before[n] & ~done) != 0 || !fill.Fits(load) || !seen.Add(done | (1 << n)))
                {
                    continue;
                }

                fill.Settle(load);
                order.Push(n);
                if (Search(done | (1 << n)))
                {
                    return true;
                }

                order.Pop();
                fill.Settle(new(load.Gives, load.Takes));
            }

            return false;
        }

        WorkLoad Counted(WorkLoad load) =>
            rooms
                ? new([.. load.Takes.Where(t => t.Pool != WorkLoad.Memory)], [.. load.Gives.Where(g => g.Pool != WorkLoad.Memory)])
                : load;
    }

    /// <summary>Those among the loaded that some work waits for, also round corners, as bits.</summary>
    private int Before(int work, List<int> loaded)
    {
        HashSet<int> seen = [];
        Stack<int> open = new(all[work].After);
        while (open.TryPop(out var next))
        {
            Patience.Check();
            if (seen.Add(next))
            {
                foreach (var more in all[next].After)
                {
                    open.Push(more);
                }
            }
        }

        return loaded.Select((n, bit) => n != work && seen.Contains(n) ? 1 << bit : 0).Sum();
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
}
