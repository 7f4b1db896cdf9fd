using System.Globalization;
using Google.OrTools.Sat;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>Spreads jobs and onward copies over the night: no two on one disk at a time, all done by a time, an onward copy after the jobs it carries on, and as little moved as can be.</summary>
public static class NightPlanner
{
    /// <summary>When nights begin, for who does not say: most people have seen their film by then (common practice).</summary>
    public static readonly TimeOnly Evening = new(21, 0);

    private const int Seconds = 2;
    private const int Apart = 5;

    /// <summary>Finds a plan.</summary>
    /// <param name="keeping">The copies of a house.</param>
    /// <param name="from">When the first may begin.</param>
    /// <param name="until">When all are to be done.</param>
    public static NightPlan Find(HouseKeeping keeping, TimeOnly from, TimeOnly until)
    {
        var (first, last) = (NightTimes.SinceNoon(from), NightTimes.SinceNoon(until));
        List<Item> items =
        [
            .. keeping
                .Jobs.Where(j => j.Segments.Count > 0 && j.Times.Times.Count == 1)
                .Select(j => new Item(
                    NightKind.Copying,
                    j.Job.Name,
                    j.Job.Store,
                    j.Times,
                    Minutes(j.EachTime + After(j)),
                    [.. j.Segments.SelectMany(s => s.Over).Select(u => u.Line)]
                )),
            .. keeping
                .Onward.Where(o => o.Over.Count > 0 && o.Times.Times.Count == 1)
                .Select(o => new Item(
                    NightKind.Onward,
                    o.Onward.Key,
                    o.Onward.From,
                    o.Times,
                    Minutes(o.EachTime),
                    [.. o.Over.Select(u => u.Line)]
                )),
        ];
        if (items.Count == 0)
        {
            return new NightPlan([], "No job and no onward copy begins once a night, so there is nothing to spread.", from);
        }

        if (TooMuch(items, first, last, from, until) is { } why)
        {
            return new NightPlan([], why, until);
        }

        return Solve(items, first, last, from, until);
    }

    private static NightPlan Solve(List<Item> items, int first, int last, TimeOnly from, TimeOnly until)
    {
        var model = new CpModel();
        var starts = items.Select((i, n) => model.NewIntVar(Math.Max(0, first), Math.Max(0, last - i.Minutes), $"s{n}")).ToList();
        var spans = items.Select((i, n) => model.NewFixedSizeIntervalVar(starts[n], i.Minutes, $"i{n}")).ToList();
        foreach (var night in Enum.GetValues<DayOfWeek>())
        {
            foreach (var line in items.SelectMany(i => i.Lines).Where(l => l.Kind != NightLineKind.Wire).Distinct())
            {
                var on = Enumerable
                    .Range(0, items.Count)
                    .Where(n => items[n].Nights.Contains(night) && items[n].Lines.Contains(line))
                    .ToList();
                if (on.Count > 1)
                {
                    model.AddNoOverlap(on.Select(n => spans[n]));
                }
            }
        }

        List<LinearExpr> moved = [];
        for (var n = 0; n < items.Count; n++)
        {
            foreach (var m in Enumerable.Range(0, items.Count).Where(m => Follows(items[n], items[m])))
            {
                model.Add(starts[n] >= starts[m] + items[m].Minutes);
            }

            var by = model.NewIntVar(0, 24 * 60, $"m{n}");
            var now = NightTimes.SinceNoon(items[n].Times.Times[0]);
            model.Add(by >= starts[n] - now);
            model.Add(by >= now - starts[n]);
            moved.Add(by);
        }

        model.Minimize(LinearExpr.Sum(moved));
        var solver = new CpSolver
        {
            StringParameters = string.Create(CultureInfo.InvariantCulture, $"max_time_in_seconds:{Seconds},num_workers:1,random_seed:1"),
        };
        if (solver.Solve(model) is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible))
        {
            return new NightPlan(
                [],
                $"No order of them is done from {Clock(from)} to {Clock(until)} without two on one disk. Begin earlier, wake later, or copy less often.",
                until
            );
        }

        List<NightMove> moves = [];
        var done = first;
        for (var n = 0; n < items.Count; n++)
        {
            var start = (int)solver.Value(starts[n]);
            done = Math.Max(done, start + items[n].Minutes);
            var to = NightTimes.At(items[n].Times, NightTimes.AfterNoon(start));
            if (NightTimes.SinceNoon(items[n].Times.Times[0]) != start)
            {
                moves.Add(new NightMove(items[n].Kind, items[n].Name, items[n].Times, to));
            }
        }

        return new NightPlan(moves, null, NightTimes.AfterNoon(done));
    }

    /// <summary>An onward copy follows the jobs of a night that it carries on.</summary>
    private static bool Follows(Item one, Item other) =>
        one.Kind == NightKind.Onward && other.Kind == NightKind.Copying && one.Store == other.Store && one.Nights.Overlaps(other.Nights);

    /// <summary>What alone is more than the night has room for, in words; null when nothing is.</summary>
    private static string? TooMuch(List<Item> items, int first, int last, TimeOnly from, TimeOnly until)
    {
        if (last <= first)
        {
            return $"The night from {Clock(from)} to {Clock(until)} has no time in it.";
        }

        var window = $"the {new Duration(last - first).Exactly()} from {Clock(from)} to {Clock(until)}";
        if (items.Find(i => i.Minutes > last - first) is { } longest)
        {
            return $"{longest.Name} alone takes {new Duration(longest.Minutes).Exactly()}, more than {window}.";
        }

        foreach (var night in Enum.GetValues<DayOfWeek>())
        {
            var fullest = items
                .Where(i => i.Nights.Contains(night))
                .SelectMany(i => i.Lines.Where(l => l.Kind != NightLineKind.Wire).Distinct().Select(l => (Line: l, i.Minutes)))
                .GroupBy(i => i.Line, i => i.Minutes)
                .Select(g => (Line: g.Key, Minutes: g.Sum()))
                .OrderByDescending(g => g.Minutes)
                .FirstOrDefault();
            if (fullest.Minutes > last - first)
            {
                return $"On the night of {night}, {fullest.Line.Name} is busy for {new Duration(fullest.Minutes).Exactly()} one after another, more than {window}.";
            }
        }

        return null;
    }

    private static Duration After(JobSums job) =>
        new Duration(job.Keep is not null && job.Store?.Store.ThinsAt is null ? KeepingRules.ThinMinutes : 0)
        + (
            job.Store is { Store: { ChecksNew: true, ChecksAt: null, Place: null } } store
            && store.End(store.HostId, into: false).FirstOrDefault() is { } disk
                ? Duration.Of(job.Each, Math.Min(disk.Line.Rate, store.MostOut))
                : new Duration(0)
        );

    private static int Minutes(Duration time) => Math.Min(time.WholeMinutes, 10_000) + Apart;

    private static string Clock(TimeOnly time) => time.ToString("HH:mm", CultureInfo.InvariantCulture);

    private sealed record Item(NightKind Kind, string Name, string Store, CopyTimes Times, int Minutes, HashSet<NightLine> Lines)
    {
        public IReadOnlySet<DayOfWeek> Nights { get; } = NightTimes.Nights(Times);
    }
}
