using Yuntak.Core.Bench;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Arranging;

/// <summary>What would let a guest onto a host with everybody else staying where they were put: plain sums, there at once, and never less than what is needed.</summary>
internal sealed class QuickChange
{
    private readonly ArrangeProblem problem;
    private readonly IReadOnlyList<Choice> chosen;
    private readonly RoomLoads loads;

    /// <param name="problem">What was arranged.</param>
    /// <param name="chosen">What was chosen.</param>
    public QuickChange(ArrangeProblem problem, IReadOnlyList<Choice> chosen)
    {
        (this.problem, this.chosen) = (problem, chosen);
        loads = new RoomLoads(problem.Rooms);
        foreach (var choice in chosen.Where(c => c.Seat is not null))
        {
            loads.Add(choice);
        }
    }

    /// <summary>What has to give; the pools are those where least does.</summary>
    public IEnumerable<FitLimit> For(Mover mover, Seat seat)
    {
        var others = loads.Copy();
        if (chosen[mover.Number].Seat is not null)
        {
            others.Add(chosen[mover.Number], -1);
        }

        var best = (
            from system in Enumerable.Range(0, seat.System.Count)
            from bulk in Enumerable.Range(0, seat.Bulk.Count)
            let lacks = Lacks(others, new Choice(seat, system, bulk)).ToList()
            orderby lacks.Count, lacks.Sum(l => (double)l.More)
            select lacks
        ).First();
        foreach (var (limit, needs, more) in best)
        {
            yield return ChangeWords.Of(seat, limit, needs, more);
        }

        foreach (var other in Company(problem.Apart, mover).Where(o => chosen[o.Number].Seat?.Room == seat.Room))
        {
            yield return HostSlack.Apart(mover.Guest, other.Guest);
        }

        foreach (var other in Company(problem.Together, mover).Where(o => chosen[o.Number].Seat is { } there && there.Room != seat.Room))
        {
            yield return HostSlack.Together(mover.Guest, other.Guest);
        }

        foreach (var need in seat.Needs)
        {
            if (ChangeWords.Holder(problem, chosen, mover, seat, need) is { } holder)
            {
                yield return ChangeWords.Missing(seat, need, holder);
            }
        }
    }

    private static IEnumerable<(Limit Limit, long Needs, long More)> Lacks(RoomLoads others, Choice choice)
    {
        var room = choice.Seat!.Room;
        var lacks = room
            .Limits.Select((limit, n) => (Limit: limit, Needs: choice.LoadOn(limit), There: others.On(room, n)))
            .Where(l => l.Limit.Hard is { } hard && l.Needs > 0 && l.There + l.Needs > hard)
            .Select(l => (l.Limit, l.Needs, More: l.There + l.Needs - l.Limit.Hard!.Value))
            .ToList();
        var hours = lacks.Where(l => l.Limit.Line == RoomLine.Cores).OrderByDescending(l => l.More).Take(1);
        return lacks.Where(l => l.Limit.Line != RoomLine.Cores).Concat(hours);
    }

    private IEnumerable<Mover> Company(IReadOnlyList<(int A, int B)> pairs, Mover mover) =>
        ArrangeProblem.Others(pairs, mover).Select(n => problem.Movers[n]);
}
