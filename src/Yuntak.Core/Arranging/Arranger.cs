using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Arranging;

/// <summary>Puts every guest where it belongs, goal by goal, and proves it. It proposes and never moves anything.</summary>
public static class Arranger
{
    /// <summary>The best arrangement of a lab.</summary>
    /// <param name="sums">The lab.</param>
    /// <param name="ask">What is asked.</param>
    /// <param name="running">The guests that run already: they are never taken away, and stay where they are when no place is found for them.</param>
    /// <param name="progress">Who is told how far it is.</param>
    /// <param name="cancel">Asks it to stop.</param>
    /// <exception cref="OperationCanceledException">It was asked to stop.</exception>
    public static Arrangement Of(
        Sums sums,
        ArrangeAsk ask,
        IReadOnlySet<GuestId>? running = null,
        IProgress<ArrangeProgress>? progress = null,
        CancellationToken cancel = default
    )
    {
        var problem = new ArrangeProblem(sums, ask, running ?? new HashSet<GuestId>());
        using var search = new Search(ask, progress, cancel);
        // A part of the time is for saying why not.
        var forWhy = ask.Seconds * WhyNot.Part;
        search.Keep(forWhy);
        var (chosen, goals) = GoalSearch.Of(problem, search);
        search.Keep(-forWhy);
        var left = problem.Movers.Where(m => !chosen[m.Number].Placed).ToList();
        var emptied =
            problem.Emptied is not { } empty
            || (left.TrueForAll(m => m.Home?.Room.Number != empty) && chosen.All(c => c.Seat?.Room.Number != empty));
        var why = new WhyNot(problem, chosen, search);
        List<LeftOut> leftOut = [.. left.Select(why.Of)];
        return new Arrangement(
            ask,
            !emptied ? ArrangeStatus.Infeasible
                : goals.All(g => g.Proven) ? ArrangeStatus.Optimal
                : ArrangeStatus.Feasible,
            goals,
            [.. problem.Movers.Where(m => chosen[m.Number].Placed).Select(m => Placed(problem, m, chosen[m.Number]))],
            leftOut,
            [.. problem.Rooms.Where(r => r.Offer is not null && chosen.Any(c => c.Seat?.Room == r)).Select(r => r.Offer!)],
            Power(problem, chosen),
            Math.Round(search.Used, 3)
        );
    }

    private static ArrangedGuest Placed(ArrangeProblem problem, Mover mover, Choice chosen)
    {
        var (seat, host) = (chosen.Seat!, chosen.Seat!.Room.Host);
        string? Pool(IReadOnlyList<SeatPool> pools, int at) =>
            pools.Count > 0 && pools[at].Pool >= 0 ? seat.Room.Pools[pools[at].Pool].Pool.Name : null;
        var place = new Placement(
            host.Id,
            Pool(seat.System, chosen.System),
            // Where nothing of its own lies, what was said stays said.
            Pool(seat.Bulk, chosen.Bulk) ?? (seat.Stays ? mover.Guest.Placement?.BulkPool : null)
        );
        return new ArrangedGuest(
            mover.Guest,
            host,
            mover.Fixed ? mover.Guest.Placement! : place,
            seat.Guest.Kind,
            mover.Home?.Room.Host ?? problem.Sums.Lab.Host(mover.Guest.Placement?.Host),
            seat.Room.Offer
        );
    }

    private static PowerUse Power(ArrangeProblem problem, Choice[] chosen)
    {
        var today = problem.Movers.Select(m => m.Home is { } home ? Choice.Now(home) : Choice.None).ToList();
        var own = problem.Rooms.Where(r => r.Offer is null).ToList();
        var (was, then) = (
            own.Where(r => GoalSums.IsOn(problem, today, r)).ToList(),
            problem.Rooms.Where(r => GoalSums.IsOn(problem, chosen, r)).ToList()
        );
        var (wattsWas, wattsThen) = (was.Sum(r => r.Host.IdleWatts ?? 0), then.Sum(r => r.Host.IdleWatts ?? 0));
        var money = Duration.HoursPerYear / 1000 * problem.Sums.Lab.Settings.EnergyPrice;
        return new PowerUse(
            wattsWas,
            wattsThen,
            wattsWas * money,
            wattsThen * money,
            [.. own.Where(r => !then.Contains(r)).Select(r => r.Host.Name)],
            [.. was.Union(then).Where(r => r.Host.IdleWatts is null).Select(r => r.Host.Name)]
        );
    }
}
