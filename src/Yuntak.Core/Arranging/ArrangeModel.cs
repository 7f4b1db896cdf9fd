using Google.OrTools.Sat;

namespace Yuntak.Core.Arranging;

/// <summary>The arrangement as a model of constraints: every guest on at most one seat, no hard line of a host crossed, no device claimed twice.</summary>
internal sealed class ArrangeModel
{
    private readonly List<SeatVar>[] seated;
    private readonly BoolVar?[] left;
    private readonly List<(int Mover, HostRoom Away, BoolVar Lost)> lost = [];
    private readonly HostSlack? slack;

    /// <param name="problem">What is arranged.</param>
    /// <param name="slack">What may give; null where nothing does.</param>
    public ArrangeModel(ArrangeProblem problem, HostSlack? slack = null)
    {
        (Problem, this.slack) = (problem, slack);
        seated = [.. problem.Movers.Select(m => (slack?.SeatsOf(m) ?? m.Seats).Select(AddSeat).ToList())];
        left = [.. problem.Movers.Select(m => m is { Runs: true, Fixed: false } ? Model.NewBoolVar("") : null)];
        for (var n = 0; n < seated.Length; n++)
        {
            if (left[n] is { } leaves)
            {
                // What runs is never taken away: it has a place, or stays where it is without one.
                Model.AddExactlyOne(seated[n].Select(s => s.Taken).Append(leaves));
            }
            else
            {
                Model.AddAtMostOne(seated[n].Select(s => s.Taken));
            }
        }

        foreach (var room in problem.Rooms)
        {
            AddRoom(room, [.. seated.SelectMany(s => s).Where(s => s.Seat.Room == room)]);
        }

        new CompanyLines(this, slack).Add([.. seated.SelectMany(s => s)]);
        if (slack is null)
        {
            AddAbsences();
        }
    }

    /// <summary>What is arranged.</summary>
    public ArrangeProblem Problem { get; }

    /// <summary>The model, for goals to be added.</summary>
    public CpModel Model { get; } = new();

    /// <summary>The seats of each guest.</summary>
    public IReadOnlyList<IReadOnlyList<SeatVar>> Seated => seated;

    /// <summary>For each guest whether it stays where it is without a place; null for those that do not run yet or are not to be moved.</summary>
    public IReadOnlyList<BoolVar?> Left => left;

    /// <summary>For each guest that is to keep running, and each host it could be on, whether it has nowhere to go when that host is away.</summary>
    public IEnumerable<BoolVar> Lost => lost.Select(l => l.Lost);

    /// <summary>What a solver chose for each guest.</summary>
    public Choice[] Read(CpSolver solver) =>
        [
            .. Problem.Movers.Select(m =>
                m.Fixed ? Choice.Now(m.Home!)
                : left[m.Number] is { } leaves && solver.BooleanValue(leaves) ? Choice.Now(m.Home!, left: true)
                : seated[m.Number].Find(s => solver.BooleanValue(s.Taken)) is { } taken
                    ? new Choice(taken.Seat, At(solver, taken.System), At(solver, taken.Bulk))
                : Choice.None
            ),
        ];

    /// <summary>Tells the solver where to begin.</summary>
    public void Hint(IReadOnlyList<Choice> choices)
    {
        Model.ClearHints();
        for (var n = 0; n < seated.Length; n++)
        {
            var choice = choices[n];
            foreach (var var in seated[n])
            {
                var taken = !choice.Left && choice.Seat == var.Seat;
                Model.AddHint(var.Taken, taken);
                Hint(var.Taken, var.System, taken ? choice.System : -1);
                Hint(var.Taken, var.Bulk, taken ? choice.Bulk : -1);
            }

            if (left[n] is { } leaves)
            {
                Model.AddHint(leaves, choice.Left);
            }
        }
    }

    private void Hint(BoolVar seat, IReadOnlyList<BoolVar> pools, int at)
    {
        for (var n = 0; n < pools.Count; n++)
        {
            if (!ReferenceEquals(pools[n], seat))
            {
                Model.AddHint(pools[n], n == at);
            }
        }
    }

    private static int At(CpSolver solver, IReadOnlyList<BoolVar> pools)
    {
        for (var n = 0; n < pools.Count; n++)
        {
            if (solver.BooleanValue(pools[n]))
            {
                return n;
            }
        }

        return 0;
    }

    private SeatVar AddSeat(Seat seat)
    {
        var taken = Model.NewBoolVar("");
        return new SeatVar(seat, taken, Pools(taken, seat.System), Pools(taken, seat.Bulk));
    }

    private BoolVar[] Pools(BoolVar taken, IReadOnlyList<SeatPool> pools)
    {
        // Where there is no choice the seat says it all.
        if (pools.Count <= 1)
        {
            return [.. pools.Select(_ => taken)];
        }

        var vars = pools.Select(_ => Model.NewBoolVar("")).ToArray();
        Model.Add(LinearExpr.Sum(vars) == taken);
        return vars;
    }

    /// <summary>The lines of one host, and its devices.</summary>
    /// <param name="room">The host.</param>
    /// <param name="there">All that could be on it.</param>
    private void AddRoom(HostRoom room, List<SeatVar> there)
    {
        List<Mover> stay = [.. Problem.Movers.Where(m => m.Home?.Room == room && left[m.Number] is not null)];
        foreach (var limit in Binding(room, there))
        {
            var stuck = Problem.FixedOn(room).Sum(c => c.LoadOn(limit)) + (slack?.Staying(room, limit) ?? 0);
            var loads = there.SelectMany(s => s.LoadsOn(limit)).Where(l => l.Load > 0).ToList();
            var hard = limit.Hard!.Value;
            var more = slack?.On(Model, room, limit);
            AddLine(loads, more is null ? Math.Max(0, hard - stuck) : hard - stuck, more);
            if (stay.Count > 0 && slack is null)
            {
                // Whoever stays without a place still takes what it takes: nobody comes who makes it worse than it is today.
                var today = stuck + Problem.Movers.Where(m => !m.Fixed && m.Home?.Room == room).Sum(m => Choice.Now(m.Home!).LoadOn(limit));
                AddLine(
                    [.. loads, .. stay.Select(m => (left[m.Number]!, Choice.Now(m.Home!).LoadOn(limit))).Where(l => l.Item2 > 0)],
                    Math.Max(hard, today) - stuck,
                    null
                );
            }
        }

        new DeviceLines(this, room).Add(there, slack);
    }

    /// <summary>The hard lines that could be crossed at all; of hours of which one is never busier than another only the busier.</summary>
    private static IEnumerable<Limit> Binding(HostRoom room, List<SeatVar> there)
    {
        foreach (var limit in room.Limits.Where(l => l is { Hard: not null, Line: not RoomLine.Cores }))
        {
            yield return limit;
        }

        foreach (var hour in Hours.Peaks(room.Limits.Where(l => l.Line == RoomLine.Cores), [.. there.Select(s => s.Seat)]))
        {
            yield return hour;
        }
    }

    /// <summary>What is taken stays within what there is. Loads are divided by what they have in common: smaller numbers are sooner reckoned with.</summary>
    private void AddLine(List<(BoolVar Taken, long Load)> loads, long room, IntVar? more)
    {
        if (loads.Count == 0)
        {
            return;
        }

        if (more is null)
        {
            foreach (var (taken, _) in loads.Where(l => l.Load > room))
            {
                Model.Add(taken == 0);
            }

            loads = [.. loads.Where(l => l.Load <= room)];
            if (loads.Count == 0 || loads.Sum(l => (double)l.Load) <= room)
            {
                return;
            }
        }

        var unit = more is null ? loads.Aggregate(0L, (common, l) => Common(common, l.Load)) : 1;
        // Where sums would no longer be counted exactly by the solver they are rounded so that nothing is overfilled.
        while (loads.Sum(l => (double)(l.Load / unit)) > long.MaxValue / 8.0)
        {
            unit *= 2;
        }

        var sum = LinearExpr.WeightedSum(loads.Select(l => l.Taken), loads.Select(l => (l.Load + unit - 1) / unit));
        Model.Add(more is null ? sum <= room / unit : sum <= room + more);
    }

    private static long Common(long a, long b) => b == 0 ? a : Common(b, a % b);

    /// <summary>With any one host away, those that are to keep running have somewhere to go, and everybody else stays where they are.</summary>
    private void AddAbsences()
    {
        if (Problem.Movers.All(m => !m.Survives))
        {
            return;
        }

        foreach (var away in Problem.Rooms)
        {
            List<(Mover Mover, ILiteral? Here)> gone = [.. Problem.Movers.Where(m => m.Survives).SelectMany(m => Presence(m, away))];
            List<SeatVar> refuges = [];
            foreach (var (mover, here) in gone)
            {
                var elsewhere = mover
                    .Others.Where(s =>
                        s.Room != away
                        && s.Room.Offer is null
                        && s.Room.Number != Problem.Emptied
                        && s.Limits.Count == 0
                        && s.System.Count > 0
                        && s.Bulk.Count > 0
                    )
                    .Select(AddSeat)
                    .ToList();
                var nowhere = Model.NewBoolVar("");
                lost.Add((mover.Number, away, nowhere));
                refuges.AddRange(elsewhere);
                Model.AddAtMostOne(elsewhere.Select(s => s.Taken));
                Model.AddBoolOr(elsewhere.Select(s => (ILiteral)s.Taken).Append(nowhere).Concat(here is null ? [] : [here.Not()]));
                if (here is not null)
                {
                    foreach (var seat in elsewhere)
                    {
                        Model.AddImplication(seat.Taken, here);
                    }
                }
            }

            if (refuges.Count == 0)
            {
                continue;
            }

            foreach (var room in Problem.Rooms.Where(r => r != away))
            {
                AddRoom(room, [.. refuges.Concat(seated.SelectMany(s => s)).Where(s => s.Seat.Room == room)]);
            }

            new CompanyLines(this, slack).Add([.. refuges, .. seated.SelectMany(s => s).Where(s => s.Seat.Room != away)]);
        }
    }

    /// <summary>Whether a guest is on a host: a literal for each way it could be, none for one that is not to be moved and is there.</summary>
    private IEnumerable<(Mover Mover, ILiteral? Here)> Presence(Mover mover, HostRoom room)
    {
        if (mover.Fixed)
        {
            return mover.Home?.Room == room ? [(mover, null)] : [];
        }

        List<BoolVar> ways = [.. seated[mover.Number].Where(s => s.Seat.Room == room).Select(s => s.Taken)];
        if (mover.Home?.Room == room && left[mover.Number] is { } leaves)
        {
            ways.Add(leaves);
        }

        if (ways.Count <= 1)
        {
            return ways.Select(w => (mover, (ILiteral?)w));
        }

        var here = Model.NewBoolVar("");
        Model.AddMaxEquality(here, ways);
        return [(mover, here)];
    }
}
