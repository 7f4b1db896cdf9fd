using Google.OrTools.Sat;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Arranging;

/// <summary>The goals in their order, as sums over a model.</summary>
internal sealed class GoalMaker
{
    /// <summary>From so many seats on little is proven in the time.</summary>
    private const int ManySeats = 1_500;

    private readonly ArrangeModel model;
    private readonly ArrangeProblem problem;
    private readonly BoolVar?[] powered;
    private readonly LineGoals lines;

    /// <param name="model">The model.</param>
    public GoalMaker(ArrangeModel model)
    {
        (this.model, problem) = (model, model.Problem);
        powered = new BoolVar?[problem.Rooms.Count];
        lines = new LineGoals(model);
    }

    /// <summary>All goals, what comes first first.</summary>
    public IReadOnlyList<Goal> All()
    {
        List<Goal> goals =
        [
            Placed(Importance.Must, "placed-must", "guests that must run and have a place", "What must run comes before all else."),
            Placed(
                Importance.Should,
                "placed-should",
                "guests that should run and have a place",
                "Then what should run on an ordinary day."
            ),
            Placed(Importance.MayWait, "placed-may-wait", "guests that may wait and have a place", "Then what may wait."),
        ];
        if (problem.Ask.SurviveOne || problem.Movers.Any(m => m.Survives))
        {
            goals.Add(
                new Goal(
                    "no-refuge",
                    "guests that must run and have nowhere to go when their host is away",
                    "With any one host away, what is to keep running has somewhere to go, while everybody else stays where they are.",
                    Most: false,
                    0,
                    LinearExpr.Sum(model.Lost),
                    null
                )
                {
                    Range = model.Lost.Count(),
                }
            );
        }

        if (problem.Offers.Count > 0)
        {
            goals.Add(Price());
        }

        goals.Add(Moves());
        goals.Add(Copied());
        goals.AddRange(problem.Ask.Prefer == Prefer.Even ? [lines.Even(Powered)] : [Few(), Watts()]);
        goals.Add(lines.Comfort());
        goals.Add(Lying());
        return goals;
    }

    private IEnumerable<SeatVar> Vars => model.Seated.SelectMany(s => s);

    private Goal Placed(Importance importance, string name, string words, string sentence)
    {
        var of = problem.Movers.Where(m => m.Guest.Importance == importance).ToList();
        return new Goal(
            name,
            words,
            sentence,
            Most: true,
            of.Count,
            LinearExpr.Sum(of.SelectMany(m => model.Seated[m.Number]).Select(s => s.Taken)) + of.Count(m => m.Fixed),
            chosen => GoalSums.Placed(problem, chosen, importance)
        )
        {
            Range = of.Count,
            WithLast = importance != Importance.Must,
        };
    }

    private Goal Moves()
    {
        var settled = problem.Movers.Where(m => m is { Home: not null, Fixed: false }).ToList();
        var stay = settled
            .SelectMany(m => model.Seated[m.Number].Where(s => s.Seat == m.Home).Select(s => s.Taken))
            .Concat(settled.Select(m => model.Left[m.Number]).OfType<BoolVar>())
            .ToList();
        return new Goal(
            "moves",
            "guests that move",
            "As few guests as can be leave the host they are on, or are packaged otherwise: every move is an evening.",
            Most: false,
            0,
            settled.Count - LinearExpr.Sum(stay),
            chosen => GoalSums.Moves(problem, chosen)
        )
        {
            Range = settled.Count,
            // In a lab too large to be proven, who stays and who has a place are looked at together, where nothing comes between: that finds better both.
            WithLast = Vars.Take(ManySeats).Count() == ManySeats && !model.Lost.Any() && problem.Offers.Count == 0,
        };
    }

    private Goal Copied()
    {
        List<(BoolVar Taken, long Weight)> copies =
        [
            .. Vars.Where(s => s.Seat.Stays).SelectMany(s => Away(s.Seat.System, s.System).Concat(Away(s.Seat.Bulk, s.Bulk))),
        ];
        return new Goal(
            "copied-volumes",
            "volumes that are copied to another pool of their host",
            "As few volumes as can be are copied.",
            Most: false,
            0,
            Sum(copies),
            GoalSums.Copied
        )
        {
            Range = 2 * problem.Movers.Count,
            WithLast = true,
        };
    }

    private static IEnumerable<(BoolVar Taken, long Weight)> Away(IReadOnlyList<SeatPool> pools, IReadOnlyList<BoolVar> vars) =>
        pools.Any(p => p.Now) ? vars.Where((_, n) => !pools[n].Now).Select(v => (v, 1L)) : [];

    private Goal Price()
    {
        List<(BoolVar, long)> prices = [.. problem.Rooms.Where(r => r.Offer is not null).Select(r => (Powered(r)!, GoalSums.PriceOf(r)))];
        return new Goal(
            "price",
            $"{problem.Sums.Lab.Settings.Currency} for what is bought",
            "Then as little money as can be.",
            Most: false,
            0,
            Sum(prices),
            chosen => GoalSums.Price(problem, chosen)
        )
        {
            Range = problem.Rooms.Sum(GoalSums.PriceOf),
            Scale = 100,
        };
    }

    private Goal Few()
    {
        var (sure, open) = On();
        return new Goal(
            "powered-hosts",
            "hosts with something to do",
            "As few hosts as can be have something to do; the others can be switched off.",
            Most: false,
            sure.Count,
            Sum([.. open.Select(o => (o.On, 1L))]) + sure.Count,
            chosen => GoalSums.Powered(problem, chosen)
        )
        {
            Range = problem.Rooms.Count,
        };
    }

    private Goal Watts()
    {
        var (sure, open) = On();
        var constant = sure.Sum(GoalSums.WattsOf);
        return new Goal(
            "watts",
            "watts at rest of the hosts with something to do, as far as they are known",
            "Of as many hosts, those that take the least.",
            Most: false,
            constant,
            Sum([.. open.Select(o => (o.On, GoalSums.WattsOf(o.Room)))]) + constant,
            chosen => GoalSums.Watts(problem, chosen)
        )
        {
            Range = problem.Rooms.Sum(GoalSums.WattsOf),
            WithLast = true,
            Scale = 10,
        };
    }

    private (List<HostRoom> Sure, List<(HostRoom Room, BoolVar On)> Open) On() =>
        (
            [.. problem.Rooms.Where(r => Powered(r) is null)],
            [.. problem.Rooms.Select(r => (Room: r, On: Powered(r))).Where(r => r.On is not null).Select(r => (r.Room, r.On!))]
        );

    /// <summary>Whether a host has something to do; null where it surely has.</summary>
    private BoolVar? Powered(HostRoom room)
    {
        if (GoalSums.Serves(problem, room) || problem.FixedOn(room).Any())
        {
            return null;
        }

        if (powered[room.Number] is null)
        {
            var on = powered[room.Number] = model.Model.NewBoolVar("");
            foreach (
                var there in Vars.Where(s => s.Seat.Room == room)
                    .Select(s => s.Taken)
                    .Concat(problem.Movers.Where(m => m.Home?.Room == room).Select(m => model.Left[m.Number]).OfType<BoolVar>())
            )
            {
                model.Model.AddImplication(there, on);
            }
        }

        return powered[room.Number];
    }

    private Goal Lying()
    {
        var constant = problem.Movers.Where(m => m.Fixed).Sum(m => (long)Choice.Now(m.Home!).Misplaced);
        return new Goal(
            "misplaced-volumes",
            "points for volumes that lie badly: guest disks off flash, bulk data on it, either beside the host's own system",
            "Last, volumes lie where they belong.",
            Most: false,
            constant,
            Sum([
                .. Vars.SelectMany(s => Badly(s.Seat.System, s.System).Concat(Badly(s.Seat.Bulk, s.Bulk))),
                .. problem
                    .Movers.Where(m => model.Left[m.Number] is not null)
                    .Select(m => (model.Left[m.Number]!, (long)Choice.Now(m.Home!).Misplaced)),
            ]) + constant,
            GoalSums.Misplaced
        )
        {
            Range = problem.Movers.Sum(m =>
                m.Others.SelectMany(s => s.System.Concat(s.Bulk)).Select(p => 2L * p.Misplaced).DefaultIfEmpty(0).Max()
            ),
            WithLast = true,
        };
    }

    private static IEnumerable<(BoolVar Taken, long Weight)> Badly(IReadOnlyList<SeatPool> pools, IReadOnlyList<BoolVar> vars) =>
        vars.Select((v, n) => (v, (long)pools[n].Misplaced));

    internal static LinearExpr Sum(List<(BoolVar Taken, long Weight)> parts) =>
        LinearExpr.WeightedSum(parts.Where(p => p.Weight != 0).Select(p => p.Taken), parts.Where(p => p.Weight != 0).Select(p => p.Weight));
}
