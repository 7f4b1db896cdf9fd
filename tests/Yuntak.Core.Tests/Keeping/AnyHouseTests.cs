using CsCheck;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>What is worked out about copies of any house, against definitions that are followed to the letter.</summary>
public class AnyHouseTests
{
    private static readonly Gen<Lab> AnyKept =
        from lab in Gens.AnyLab
        from seed in Gen.Int
        select seed % 2 == 0 ? CopyGens.Kept(lab, new Random(seed)) : CopyGens.Carried(lab, new Random(seed));

    /// <summary>A guest lies in a store when jobs bring every volume of it there, or when a store it lies in is carried on to it; never in the one it keeps itself.</summary>
    [Fact]
    public void A_guest_lies_in_every_store_that_can_be_reached_and_in_no_other()
    {
        var (somewhere, further, partly) = (0, 0, 0);
        AnyKept.Holds(
            lab =>
            {
                var keeping = lab.Keeping();
                foreach (var guest in keeping.Guests)
                {
                    var may = keeping.Stores.Where(s => s.Guest?.Id != guest.Guest.Id).Select(s => s.Store.Name).ToHashSet();
                    var direct = may.Where(s =>
                            guest.Volumes.All(v => keeping.Jobs.Any(j => j.Job.Store == s && j.Segments.Any(k => k.Volume == v)))
                        )
                        .ToHashSet();
                    var reached = may.Where(s => direct.Any(d => d == s || Leads(lab, may, d, s, []))).ToList();
                    guest.Stores.Select(s => s.Store.Name).ShouldBe(reached, ignoreOrder: true, guest.Guest.Name);
                    var some = may.Where(s =>
                            guest.Volumes.Any(v => keeping.Jobs.Any(j => j.Job.Store == s && j.Segments.Any(k => k.Volume == v)))
                        )
                        .ToHashSet();
                    guest
                        .Partly.Select(s => s.Store.Name)
                        .ShouldBe(
                            may.Where(s => some.Any(d => d == s || Leads(lab, may, d, s, []))).Except(reached),
                            ignoreOrder: true,
                            guest.Guest.Name
                        );
                    Interlocked.Add(ref partly, guest.Partly.Count);
                    guest.Copies.ShouldBe(1 + reached.Count);
                    guest.WorstLoss.HasValue.ShouldBe(reached.Count > 0);
                    Interlocked.Add(ref somewhere, direct.Count);
                    Interlocked.Add(ref further, reached.Count - direct.Count);
                }
            },
            iter: 300
        );
        somewhere.ShouldBeGreaterThan(20);
        further.ShouldBeGreaterThan(20);
        partly.ShouldBeGreaterThan(10);
    }

    /// <summary>Every night what is new comes and what the rule no longer holds goes; the oldest copy that is left is whole, each later one what changed since the one before it.</summary>
    [Fact]
    public void A_store_holds_what_follows_from_following_its_rule_night_by_night() =>
        AnyKept.Holds(
            lab =>
            {
                var keeping = (lab with { Onward = [] }).Keeping();
                foreach (var store in keeping.Stores.Where(s => keeping.Jobs.Any(j => j.Store == s)).Take(1))
                {
                    var jobs = keeping.Jobs.Where(j => j.Store == store).ToList();
                    var curve = keeping.Room(store).Curve;
                    foreach (var day in new[] { 0, 8, 45, 364 })
                    {
                        var bytes = jobs.Sum(j => Bytes(j, store.Store.Deduplicates, Thinned(j, keeping.On, day), day));
                        ((double)curve[day].Used.Bytes).ShouldBe(bytes / store.Reduction, 2_000, $"{store.Store.Name} on day {day}");
                    }
                }
            },
            iter: 60
        );

    [Fact]
    public void A_night_moves_what_its_jobs_bring_and_nothing_ends_before_it_begins() =>
        AnyKept.Holds(
            lab =>
            {
                var keeping = lab.Keeping();
                foreach (var night in new[] { 0, 27, 28, 245 }.Select(n => keeping.NightOf(Copied.Today.AddDays(n))))
                {
                    foreach (var run in night.Runs)
                    {
                        run.Ends.ShouldBeGreaterThanOrEqualTo(run.Starts, run.Work.Name);
                    }

                    foreach (var job in keeping.Jobs.Where(j => j.Segments.Count > 0))
                    {
                        var own = night.Runs.Where(r => r.Work.Kind == NightKind.Copying && r.Work.Name == job.Job.Name).ToList();
                        // From noon to noon each day of the week is in two nights, with half of its times each.
                        own.Count.ShouldBe(
                            job.Times.Times.Count(t =>
                                job.Times.Days.Count == 0 || job.Times.Days.Contains(night.Day.AddDays(t.Hour < 12 ? 1 : 0).DayOfWeek)
                            )
                        );
                        own.ForEach(r => r.Bytes.ShouldBe(job.Each.Bytes, 1 + (job.Each.Bytes * 1e-6)));
                    }
                }
            },
            iter: 100
        );

    /// <summary>What is drawn as still running is what a night before said of its end, and nothing else.</summary>
    [Fact]
    public void What_ends_after_the_next_noon_is_there_in_the_nights_after_it()
    {
        var going = 0;
        AnyKept.Holds(
            lab =>
            {
                var keeping = lab.Keeping();
                for (var n = 0; n < 3; n++)
                {
                    var (day, night) = (Copied.Today.AddDays(n), keeping.NightOf(Copied.Today.AddDays(n)));
                    var still = keeping.StillRunning(day).ToList();
                    still.Exists(r => r.Starts >= night.From || r.Ends <= night.From).ShouldBeFalse(lab.Jobs.Count + " jobs");
                    keeping
                        .NightOf(day.AddDays(-1))
                        .Runs.Count(r => double.IsFinite(r.Ends) && r.Starts < night.From && r.Ends > night.From && !still.Contains(r))
                        .ShouldBe(0);
                    Interlocked.Add(ref going, still.Count);
                }
            },
            iter: 100
        );
        going.ShouldBeGreaterThan(5);
    }

    private static bool Leads(Lab lab, HashSet<string> may, string from, string to, HashSet<string> been) =>
        been.Add(from) && lab.Onward.Any(o => o.From == from && may.Contains(o.To) && (o.To == to || Leads(lab, may, o.To, to, been)));

    private static List<DateTime> Thinned(JobSums job, DateOnly from, int days)
    {
        List<DateTime> left = [];
        for (var n = 0; n <= days; n++)
        {
            var day = from.AddDays(n);
            left.AddRange(job.Times.Between(day, day));
            left = job.Keep is { } rule ? [.. Retention.Left(rule, job.Job.School, left).Select(c => c.At).Order()] : left;
        }

        return left;
    }

    private static double Bytes(JobSums job, bool once, List<DateTime> left, int days)
    {
        var sum = 0.0;
        foreach (var segment in left.Count == 0 ? [] : job.Segments)
        {
            var grown = segment.Volume is { Part: VolumePart.Bulk, Guest.Growth: { } growth }
                ? days
                    * (
                        (growth.PerMonth.Bytes * 12 / Duration.DaysPerYear)
                        + (segment.Size.Bytes * growth.ShareAYear / Duration.DaysPerYear)
                    )
                : 0;
            var whole = segment.Size.Bytes + grown;
            sum +=
                !once && segment.Part is { Folder: null, Kind: PartKind.Whole or PartKind.Archive }
                    ? left.Count * whole
                    : whole + left.Zip(left.Skip(1), (a, b) => Math.Min(segment.Size.Bytes, segment.ADay.Bytes * (b - a).TotalDays)).Sum();
        }

        return sum;
    }
}
