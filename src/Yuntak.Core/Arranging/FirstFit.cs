using Yuntak.Core.Devices;

namespace Yuntak.Core.Arranging;

/// <summary>
/// What people do by feel, as a place to begin: the guests that matter most first, the large before the small, each to the first host with room or to the one it fills
/// best (first and best fit decreasing). The search is never worse than the better of them.
/// </summary>
internal sealed class FirstFit
{
    private readonly ArrangeProblem problem;
    private readonly bool best;
    private readonly RoomLoads loads;
    private readonly Choice[] chosen;
    private readonly List<ClaimClash.Hold>[] holds;

    private FirstFit(ArrangeProblem problem, bool best)
    {
        (this.problem, this.best) = (problem, best);
        loads = new RoomLoads(problem.Rooms);
        chosen = new Choice[problem.Movers.Count];
        holds = [.. problem.Rooms.Select(_ => new List<ClaimClash.Hold>())];
        foreach (var mover in problem.Movers.Where(m => m.Fixed))
        {
            Put(mover, Choice.Now(mover.Home!));
        }
    }

    /// <summary>The best of the ways of beginning.</summary>
    public static Choice[] Of(ArrangeProblem problem) =>
        new[] { (Best: true, Stay: true), (Best: false, Stay: true), (Best: false, Stay: false), (Best: true, Stay: false) }
            .Select(w => new FirstFit(problem, w.Best).Fill(w.Stay))
            .MaxBy(c =>
                (
                    GoalSums.Placed(problem, c, Labs.Importance.Must),
                    GoalSums.Placed(problem, c, Labs.Importance.Should),
                    GoalSums.Placed(problem, c, Labs.Importance.MayWait),
                    -GoalSums.Moves(problem, c)
                )
            )!;

    /// <summary>The same choices, with a place for those without where there is room beside the others. Who needs a device is left to the search.</summary>
    public static Choice[] Completed(ArrangeProblem problem, IReadOnlyList<Choice> chosen)
    {
        var fit = new FirstFit(problem, best: true);
        foreach (var mover in problem.Movers.Where(m => !m.Fixed && chosen[m.Number].Seat is not null))
        {
            fit.Put(mover, chosen[mover.Number]);
        }

        foreach (var mover in problem.Movers.Where(m => !m.Fixed && chosen[m.Number].Seat is null).OrderBy(m => m.Guest.Importance))
        {
            _ = mover.Seats.Where(s => s.Needs.Count == 0).OrderByDescending(fit.Filled).Any(s => fit.Try(mover, s));
        }

        return fit.chosen;
    }

    /// <summary>How things stand: who is on a host has a place there as long as there is room, and what it needs, beside those that matter more.</summary>
    public static Choice[] Today(ArrangeProblem problem)
    {
        var fit = new FirstFit(problem, best: true);
        foreach (var mover in problem.Movers.Where(m => m is { Fixed: false, Home: not null }).OrderBy(m => m.Guest.Importance))
        {
            if (!((mover.Runs || mover.Home!.Limits.Count == 0) && fit.Try(mover, mover.Home!)))
            {
                fit.chosen[mover.Number] = Choice.Now(mover.Home!, left: true);
            }
        }

        return fit.chosen;
    }

    private Choice[] Fill(bool stay)
    {
        List<Mover> waiting =
        [
            .. problem.Movers.Where(m => !m.Fixed).OrderBy(m => m.Guest.Importance).ThenByDescending(Size).ThenBy(m => m.Number),
        ];
        // Who runs is somewhere for those it keeps apart from or together with; what it takes there is weighed by the search.
        foreach (var mover in waiting.Where(m => m.Runs))
        {
            chosen[mover.Number] = Choice.Now(mover.Home!, left: true);
        }

        foreach (var mover in stay ? waiting.Where(m => m.Home is not null && m.Seats.Contains(m.Home)).ToList() : [])
        {
            if (Try(mover, mover.Home!))
            {
                waiting.Remove(mover);
            }
        }

        foreach (var mover in waiting)
        {
            var seats = best
                ? mover.Seats.OrderByDescending(s => Filled(s)).ThenBy(s => s.Room.Number)
                : mover.Seats.OrderBy(s => s.Room.Number);
            _ = seats.Any(s => Try(mover, s));
        }

        return chosen;
    }

    /// <summary>How much of the largest host's memory it takes.</summary>
    private static double Size(Mover mover) =>
        mover.Seats.Concat(mover.Others).Take(1).Select(s => (double)s.LoadOn(s.Room.Limits[0])).DefaultIfEmpty(0).First();

    /// <summary>How full a host's memory would be.</summary>
    private double Filled(Seat seat) =>
        (loads.On(seat.Room, 0) + seat.LoadOn(seat.Room.Limits[0])) / (double)Math.Max(1, seat.Room.Limits[0].Hard!.Value);

    private bool Try(Mover mover, Seat seat)
    {
        if (Company(mover, seat) || Devices(seat) is not { } taken)
        {
            return false;
        }

        foreach (var (system, bulk) in Pools(seat))
        {
            var choice = new Choice(seat, system, bulk);
            if (loads.HasRoom(choice))
            {
                Put(mover, choice);
                holds[seat.Room.Number].AddRange(taken);
                return true;
            }
        }

        return false;
    }

    private static IEnumerable<(int System, int Bulk)> Pools(Seat seat) =>
        from system in Enumerable
            .Range(0, seat.System.Count)
            .OrderByDescending(n => seat.System[n].Now)
            .ThenBy(n => seat.System[n].Misplaced)
        from bulk in Enumerable.Range(0, seat.Bulk.Count).OrderByDescending(n => seat.Bulk[n].Now).ThenBy(n => seat.Bulk[n].Misplaced)
        select (system, bulk);

    private void Put(Mover mover, Choice choice)
    {
        chosen[mover.Number] = choice;
        loads.Add(choice);
    }

    private bool Company(Mover mover, Seat seat) =>
        ArrangeProblem.Others(problem.Apart, mover).Any(o => chosen[o].Seat?.Room == seat.Room)
        || ArrangeProblem.Others(problem.Together, mover).Any(o => chosen[o].Seat is { } other && other.Room != seat.Room)
        || problem.Movers.Any(o =>
            o != mover && chosen[o.Number].Seat is { } other && other.Room == seat.Room && PortsHeld.Clash(other.Sizing, seat.Sizing)
        );

    /// <summary>The first way of each need that is free; null where one is not.</summary>
    private List<ClaimClash.Hold>? Devices(Seat seat)
    {
        List<ClaimClash.Hold> mine = [];
        foreach (var need in seat.Needs)
        {
            var map = problem.Sums.Devices[seat.Room.Number].Map;
            var free = need
                .Ways.Select(ClaimClash.Hold.Of)
                .Where(h => holds[seat.Room.Number].Concat(mine).All(o => !ClaimClash.IsThere(map, h, o)))
                .Take(1)
                .ToList();
            if (free.Count == 0)
            {
                return null;
            }

            mine.AddRange(free);
        }

        return mine;
    }
}
