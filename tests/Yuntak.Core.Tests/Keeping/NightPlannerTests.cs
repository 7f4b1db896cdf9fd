using CsCheck;
using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>A plan for the night: no two on one disk, all done by the time that is said, or a true reason why not.</summary>
public class NightPlannerTests
{
    private static readonly TimeOnly From = new(21, 0);
    private static readonly TimeOnly Until = new(6, 0);

    private static readonly Gen<Lab> AnyJobs = (
        from minutes in Gen.Int[10, 200].Array[1, 6]
        from starts in Gen.Int[0, 1439].Array[6]
        from weekly in Gen.Bool.Array[6]
        select (minutes, starts, weekly)
    ).Select(any =>
        any.minutes.Select((m, n) => (m, n))
            .Aggregate(
                Copied.Sound().With(KeepingEdits.RemoveJob("nightly")),
                (lab, job) =>
                    lab.With(
                        KeepingEdits.Job(
                            new CopyJob(
                                $"job {job.n}",
                                "vault",
                                $"{(any.weekly[job.n] ? "sun " : "")}{TimeOnly.MinValue.AddMinutes(any.starts[job.n]):HH:mm}",
                                // By a measured rate each takes exactly its minutes.
                                [
                                    new JobPart(
                                        Copied.Notes,
                                        Kind: PartKind.Archive,
                                        Path: "/srv",
                                        Size: ByteSize.FromGB(500),
                                        Changes: new ByteSize(job.m * 60 * 1_000_000L / (any.weekly[job.n] ? 7 : 1))
                                    ),
                                ],
                                Rate: 1
                            )
                        )
                    )
            )
    );

    [Fact]
    public void Jobs_that_fit_are_spread_so_that_no_two_share_a_disk_and_all_are_done() =>
        AnyJobs.Holds(
            lab =>
            {
                var plan = NightPlanner.Find(lab.Keeping(), From, Until);
                var all =
                    lab.Keeping().Jobs.Sum(j => Math.Ceiling(j.EachTime.Minutes / 5) * 5 + 5)
                    + 5
                    + lab.Keeping().Onward.Sum(o => o.EachTime.Minutes + 10);
                if (plan.Why is not null)
                {
                    // All on one disk, one after another: what does not fit is more than the night.
                    all.ShouldBeGreaterThan((9 * 60) - 20);
                    return;
                }

                var spread = lab.With(NightEdits.Take(plan)).Keeping();
                foreach (var day in Enumerable.Range(0, 7).Select(Copied.Today.AddDays))
                {
                    var night = spread.NightOf(day);
                    night
                        .Overlaps.Where(o =>
                            o.A.Work.Kind is NightKind.Copying or NightKind.Onward && o.B.Work.Kind is NightKind.Copying or NightKind.Onward
                        )
                        .ShouldBeEmpty();
                    foreach (var run in night.Runs.Where(r => r.Work.Kind is NightKind.Copying or NightKind.Onward))
                    {
                        spread.Clock.Wall(run.Starts).ShouldBeGreaterThanOrEqualTo(day.ToDateTime(From));
                        spread.Clock.Wall(run.Ends).ShouldBeLessThanOrEqualTo(day.AddDays(1).ToDateTime(Until));
                    }
                }

                NightPlanner.Find(spread, From, Until).Moves.ShouldBeEmpty("what is spread stays as it is");
            },
            iter: 40
        );

    [Fact]
    public void What_is_too_much_is_said_with_its_name_and_time()
    {
        var lab = Copied.Sound().Job(j => j with { Rate = 0.05 });
        NightPlanner.Find(lab.Keeping(), From, Until).Why.ShouldNotBeNull().ShouldStartWith("nightly alone takes");
        Should.Throw<Base.Refused>(() => lab.With(NightEdits.Take(NightPlanner.Find(lab.Keeping(), From, Until))));
        NightPlanner.Find(lab.Keeping(), Until, Until).Why.ShouldNotBeNull().ShouldContain("no time in it");
    }

    [Theory]
    [InlineData("sun 01:00", "23:00", "sat 23:00")]
    [InlineData("sat 23:00", "01:00", "sun 01:00")]
    [InlineData("22:30", "02:00", "02:00")]
    [InlineData("mon,thu 12:30", "00:10", "tue,fri 00:10")]
    public void Dragged_along_the_night_a_job_stays_in_its_night(string was, string to, string now)
    {
        var lab = Copied.Sound().Job(j => j with { Times = was }).With(NightEdits.Drag(NightKind.Copying, "nightly", TimeOnly.Parse(to)));
        lab.Jobs.Single().Times.ShouldBe(now);
    }

    [Fact]
    public void What_is_not_there_cannot_be_dragged() =>
        Should.Throw<Base.Refused>(() => Copied.Sound().With(NightEdits.Drag(NightKind.Onward, "nightly", From)));
}
