using Google.OrTools.Sat;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Arranging;

/// <summary>
/// For a guest without a place, host by host, what keeps it out and the least that would have to give. The model is solved again with the guest on that host, everybody
/// who has a place keeping one, and the lines of the host giving way: first as few of them as can be, then as little of each.
/// </summary>
/// <param name="problem">What was arranged.</param>
/// <param name="chosen">What was chosen.</param>
/// <param name="search">The search, with the time that is left.</param>
internal sealed class WhyNot(ArrangeProblem problem, IReadOnlyList<Choice> chosen, Search search)
{
    /// <summary>The part of all time that is for it.</summary>
    public const double Part = 0.1;

    /// <summary>The part of what is left of it one answer may take.</summary>
    private const double OnePart = 0.2;

    private readonly double until = search.Used + (Part * problem.Ask.Seconds);
    private readonly QuickChange quick = new(problem, chosen);

    /// <summary>The answers for every host.</summary>
    public LeftOut Of(Mover mover) =>
        new(mover.Guest, chosen[mover.Number].Left, [.. problem.Rooms.Select(r => On(mover, r)).OfType<KeptOut>()]);

    private KeptOut? On(Mover mover, HostRoom room)
    {
        List<Seat> seats = [.. mover.Others.Where(s => s.Room == room)];
        // With the packaging it has first: another one is worth a try only where it may have it.
        var seat = seats.OrderBy(s => problem.Barred(s, mover.Home, mover.Runs) is null ? 0 : 1).FirstOrDefault();
        if (seat is null)
        {
            return null;
        }

        List<FitLimit> barred = [.. All(seat, mover)];
        if (seat.System.Count == 0 || seat.Bulk.Count == 0)
        {
            var first = barred.FirstOrDefault() ?? GuestLimits.NoPool(room.Host);
            return new KeptOut(room.Host, first.Text, first.SmallestChange, Proven: true);
        }

        // With the others where they were put the answer is there at once; with the others moving about it may be smaller.
        var exact = search.Used < until - 0.02 ? Least(mover, seat) : null;
        List<FitLimit> changes = [.. barred, .. exact?.Changes ?? quick.For(mover, seat)];
        return changes.Count == 0
            // Nothing of the host has to give: there is room, and only the time was too short to find it.
            ? new KeptOut(
                room.Host,
                "there is room for it, and the time was too short to find it",
                "more time for the search",
                Proven: false
            )
            : new KeptOut(
                room.Host,
                string.Join("; ", changes.Select(c => c.Text)),
                string.Join(" and ", changes.Select(c => c.SmallestChange)),
                exact is { Proven: true }
            );
    }

    private IEnumerable<FitLimit> All(Seat seat, Mover mover)
    {
        if ((mover.Home is { Guest.Pinned: true } home && seat != home && !problem.Ask.Away) || seat.Room.Host.Id == problem.Ask.Empty)
        {
            yield return problem.Barred(seat, mover.Home, mover.Runs)!;
        }

        if (!(mover.Runs && seat == mover.Home))
        {
            foreach (var limit in seat.Limits)
            {
                yield return limit;
            }
        }
    }

    private Found? Least(Mover mover, Seat seat)
    {
        var slack = new HostSlack(problem, chosen, mover, seat);
        var model = new ArrangeModel(problem, slack);
        foreach (var other in problem.Movers.Where(m => m != mover && chosen[m.Number].Placed && !m.Fixed))
        {
            model.Model.AddExactlyOne(model.Seated[other.Number].Select(s => s.Taken));
        }

        foreach (var other in problem.Movers.Where(m => m != mover && !chosen[m.Number].Placed))
        {
            model.Model.Add(LinearExpr.Sum(model.Seated[other.Number].Select(s => s.Taken)) == 0);
        }

        model.Model.AddExactlyOne(model.Seated[mover.Number].Select(s => s.Taken));
        model.Hint([.. chosen.Select((c, n) => n == mover.Number ? new Choice(seat, 0, 0) : c)]);
        model.Model.Minimize(slack.Kinds);
        var doing = $"what would let {mover.Guest.Name} onto {seat.Room.Host.Name}";
        var first = search.Solve(model.Model, doing, OnePart);
        if (first is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible))
        {
            return null;
        }

        var kinds = (long)Math.Round(search.Solver!.ObjectiveValue);
        model.Model.Add(slack.Kinds <= kinds);
        model.Model.Minimize(slack.Amounts);
        var second = search.Solve(model.Model, doing, OnePart);
        return second is CpSolverStatus.Optimal or CpSolverStatus.Feasible
            ? new Found([.. slack.Read(search.Solver!)], first == CpSolverStatus.Optimal && second == CpSolverStatus.Optimal)
            : null;
    }

    private sealed record Found(IReadOnlyList<FitLimit> Changes, bool Proven);
}
