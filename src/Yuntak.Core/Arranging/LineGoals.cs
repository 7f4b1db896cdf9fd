using Google.OrTools.Sat;

namespace Yuntak.Core.Arranging;

/// <summary>The goals that are about how full hosts get: an even spread, and comfort.</summary>
internal sealed class LineGoals
{
    /// <summary>The most per cent that are looked at.</summary>
    private const long Fullest = 100_000;

    private readonly ArrangeModel model;
    private readonly ArrangeProblem problem;

    /// <param name="model">The model.</param>
    public LineGoals(ArrangeModel model) => (this.model, problem) = (model, model.Problem);

    private IEnumerable<SeatVar> Vars => model.Seated.SelectMany(s => s);

    /// <summary>The fullest host is as little full as can be.</summary>
    /// <param name="powered">Whether a host that is only offered has something to do.</param>
    public Goal Even(Func<HostRoom, BoolVar?> powered)
    {
        var fullest = model.Model.NewIntVar(0, Fullest, "");
        foreach (var room in problem.Rooms)
        {
            var vars = Vars.Where(s => s.Seat.Room == room).ToList();
            foreach (
                var line in GoalSums
                    .Measured(room)
                    .Where(l => l.Line == RoomLine.Memory)
                    .Concat(Hours.Peaks(room.Limits.Where(l => l.Line == RoomLine.Cores), There(room, vars)))
            )
            {
                var loads = vars.SelectMany(s => s.LoadsOn(line))
                    .Concat(Left(room, line))
                    .Select(l => (l.Taken, 100 * GoalSums.Small(line, l.Load)))
                    .ToList();
                var own = GoalSums.Own(room, line) + problem.FixedOn(room).Sum(c => GoalSums.Small(line, c.LoadOn(line)));
                // A host that is only offered is as empty as nobody's until something is put on it.
                if (room.Offer is null)
                {
                    model.Model.Add(GoalMaker.Sum(loads) + (100 * own) <= fullest * GoalSums.All(room, line));
                }
                else
                {
                    model.Model.Add(GoalMaker.Sum(loads) + (100 * own) <= fullest * GoalSums.All(room, line)).OnlyEnforceIf(powered(room)!);
                }
            }
        }

        return new Goal(
            "fullest-host",
            "per cent of its memory or, in its busiest hour, of its cores that the fullest host gives away",
            "The fullest host is as little full as can be.",
            Most: false,
            0,
            fullest * 1,
            chosen => GoalSums.Fullest(problem, chosen)
        )
        {
            Range = Fullest,
        };
    }

    /// <summary>As few comfortable lines as can be are crossed.</summary>
    public Goal Comfort()
    {
        List<(BoolVar, long)> crossed = [];
        long always = 0;
        foreach (var room in problem.Rooms)
        {
            var vars = Vars.Where(s => s.Seat.Room == room).ToList();
            var stuck = problem.FixedOn(room).ToList();
            foreach (var group in room.Limits.GroupBy(l => (l.Line, l.ComfortGroup)))
            {
                var lines = group.Key.Line == RoomLine.Cores ? Hours.Peaks(group, There(room, vars)).ToList() : [.. group];
                if (group.Any(l => stuck.Sum(c => c.LoadOn(l)) is > 0 and var load && load > l.Comfort))
                {
                    always++;
                    continue;
                }

                BoolVar? over = null;
                foreach (var line in lines)
                {
                    var free = line.Comfort - stuck.Sum(c => c.LoadOn(line));
                    var loads = vars.SelectMany(s => s.LoadsOn(line)).Concat(Left(room, line)).Where(l => l.Load > 0).ToList();
                    var most = loads.Sum(l => (double)l.Load);
                    if (most <= free)
                    {
                        continue;
                    }

                    over ??= model.Model.NewBoolVar("");
                    long unit = 1;
                    while (most / unit > long.MaxValue / 16.0)
                    {
                        unit *= 2;
                    }

                    var sum = GoalMaker.Sum([.. loads.Select(l => (l.Taken, (l.Load + unit - 1) / unit))]);
                    // A line that is crossed by the host itself is crossed as soon as anybody comes. Past comfort the hard line holds: said so, the solver sees
                    // sooner how few lines can be crossed.
                    var ease = Math.Max(0, free / unit);
                    var hard = line.Hard is { } h && !Left(room, line).Any() ? Math.Min(most, Math.Max(0, h - line.Comfort + free)) : most;
                    model.Model.Add(sum <= ease + (over * Math.Max(0, (long)Math.Ceiling(hard / unit) + 1 - ease)));
                }

                if (over is not null)
                {
                    crossed.Add((over, 1));
                }
            }
        }

        return new Goal(
            "past-comfort",
            "comfortable lines that are crossed: 90 % of memory, 130 % promised, 80 % of cores, four processors a thread, 80 % of a pool",
            "Then as much is left free as is comfortable.",
            Most: false,
            always,
            GoalMaker.Sum(crossed) + always,
            chosen => GoalSums.Uneasy(problem, chosen)
        )
        {
            Range = problem.Rooms.Sum(r => r.Limits.Count),
        };
    }

    private IEnumerable<(BoolVar Taken, long Load)> Left(HostRoom room, Limit line) =>
        problem
            .Movers.Where(m => m.Home?.Room == room && model.Left[m.Number] is not null)
            .Select(m => (model.Left[m.Number]!, Choice.Now(m.Home!).LoadOn(line)));

    /// <summary>All that could be on a host or is there for good.</summary>
    private IReadOnlyList<Seat> There(HostRoom room, List<SeatVar> vars) =>
        [
            .. vars.Select(v => v.Seat),
            .. problem.Movers.Where(m => m.Home?.Room == room && (m.Fixed || model.Left[m.Number] is not null)).Select(m => m.Home!),
        ];
}
