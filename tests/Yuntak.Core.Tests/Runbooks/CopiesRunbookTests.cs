using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Runbooks;

/// <summary>The steps from a house without copies to one with them, in an order in which nothing is copied before its key lies safe, and nothing is deleted on the way back.</summary>
public class CopiesRunbookTests
{
    private static readonly Lab Without = Copied.House();
    private static readonly Lab With = Copied.Sound();

    /// <summary>What arrives over 1 Gbit/s in packets of 1,500 bytes (IEEE 802.3), in bytes a second.</summary>
    private const double Gigabit = 1e9 / 8 * 1460 / 1538;

    [Fact]
    public void Store_and_key_come_before_the_job_and_the_job_before_what_is_carried_on() =>
        Types(Without, With)
            .ShouldBe([
                "set-up-store",
                "lay-key-away",
                "set-up-store",
                "connect-store",
                "set-up-job",
                "run-first-copy",
                "read-back",
                "allow-onward",
                "first-onward",
                "set-up-onward",
                "read-back",
            ]);

    [Fact]
    public void A_step_cannot_be_ticked_before_the_one_it_rests_on()
    {
        var runbook = RunbookBuilder.Build(Without, With);
        runbook.Steps.Where(runbook.CanTick).Select(s => s.Act.Type).ShouldBe(["set-up-store", "set-up-store"]);
        Should
            .Throw<Refused>(() => RunbookTick.Off(With, Of(Without, With, "run-first-copy").Id)(Without))
            .Message.ShouldContain("waits for the step before it");
    }

    [Fact]
    public void All_ticked_what_stands_is_what_was_planned()
    {
        var stands = Through(Without, With);
        stands.Stores.ShouldBe(With.Stores, ignoreOrder: true);
        stands.Jobs.ShouldBe(With.Jobs);
        stands.Onward.ShouldBe(With.Onward);
        stands.Ticks.ShouldBeEmpty();
    }

    [Fact]
    public void Times_follow_from_what_is_copied_and_the_slowest_on_the_way()
    {
        // 530 GB leave one host and come into another, each on 1 Gbit/s; 5 minutes of hand work beside it.
        var first = Of(Without, With, "run-first-copy");
        ((double)first.Minutes).ShouldBe(5 + (530e9 / Gigabit / 60), 2);
        first.Values.Single(v => v.Label == "copies").Value.ShouldBe("530 GB");

        // The far line carries 100 Mbit/s: ten times as long. A disk is carried in an hour and what writing and reading it takes.
        var onward = Of(Without, With, "first-onward");
        (onward.Minutes / (double)first.Minutes).ShouldBeInRange(9, 11);
        onward.Values.Select(v => v.Label).ShouldBe(["amount", "over the line", "on a disk that is carried"]);
    }

    [Fact]
    public void The_job_says_every_volume_it_takes_and_every_one_it_does_not_with_the_reason()
    {
        var job = Of(Without, With, "set-up-job");
        Values(job, "takes").ShouldBe(["system disk of notes, 20 GB", "system disk of cloud, 10 GB", "bulk data of cloud, 500 GB"]);
        Values(job, "does not take").Single().ShouldEndWith("of strongroom: set up anew");
        Values(job, "into").ShouldBe(["vault"]);
        Values(job, "begins").ShouldBe(["every day at 23:30"]);
        Values(job, "keeps").Single().ShouldStartWith("daily 7, weekly 4, monthly 6");
        Values(job, "told").Single().ShouldEndWith("and when nothing is heard for 3 days");
    }

    [Fact]
    public void The_key_is_laid_where_it_was_said_and_never_shown()
    {
        var key = Of(Without, With, "lay-key-away");
        Values(key, "a copy").ShouldBe(["paper in the drawer"]);
        Values(key, "key sheet").Single().ShouldEndWith("never the key");
        key.Check.ShouldStartWith("On a machine that does not know it");
        var nowhere = With.Store("vault", s => s with { Keys = [] });
        Values(Of(Without, nowhere, "lay-key-away"), "a copy").Single().ShouldContain("away from every machine it protects");
        Types(Without, With.Store("vault", s => s with { Encrypted = false })).ShouldNotContain("lay-key-away");
    }

    [Fact]
    public void An_account_that_may_only_add_is_made_before_the_far_store_is_reached_and_fingerprints_are_compared()
    {
        var pulled = Of(Without, With, "allow-onward");
        Values(pulled, "at vault").ShouldBe(["an account that may read, and nothing else"]);
        pulled.Values.Single(v => v.Blank).Label.ShouldStartWith("fingerprint");
        pulled.Caution.ShouldBeNull();

        var pushed = Onward(o => o with { Way = OnwardWay.Push });
        Values(Of(Without, pushed, "allow-onward"), "at boathouse").ShouldBe(["an account that may add, and neither delete nor thin"]);
        var all = Onward(o => o with { Rights = OnwardRights.All });
        Of(Without, all, "allow-onward").Caution!.ShouldContain("could delete the far copies");
    }

    [Fact]
    public void What_is_carried_is_encrypted_and_wiped_when_it_is_there()
    {
        var carried = Onward(o => o with { First = FirstCopyWay.Carried });
        var step = Of(Without, carried, "first-onward");
        step.What.ShouldBe("Carry the first copy to boathouse");
        step.Caution!.ShouldContain("wipe it when the copy is there and was read back");
        step.Minutes.ShouldBeLessThan(Of(Without, With, "first-onward").Minutes);
    }

    [Fact]
    public void Another_hour_is_a_change_and_copies_nothing_anew()
    {
        Types(With, With.Job(j => j with { Times = "22:00" })).ShouldBe(["set-up-job"]);
        Of(With, With.Job(j => j with { Times = "22:00" }), "set-up-job").What.ShouldBe("Change the job nightly");
        Types(With, Onward(o => o with { Times = "03:00" })).ShouldBe(["set-up-onward"]);
        Types(With, Onward(o => o with { Rights = OnwardRights.All })).ShouldBe(["allow-onward", "set-up-onward"]);
        Types(With, With.Store("vault", s => s with { ThinsAt = "sat 12:00" })).ShouldBe(["set-up-store"]);
        Types(With, With.Store("vault", s => s with { Keys = ["paper in the drawer", "a safe"] }))
            .ShouldBe(["lay-key-away"], "and nothing else");
    }

    [Fact]
    public void What_is_only_known_better_or_only_wished_asks_for_no_step()
    {
        Types(With, With.Job(j => j with { Rate = 45 })).ShouldBeEmpty();
        Types(With, With.Job(j => j with { BackDays = 180, DailyDays = 14 })).ShouldBeEmpty();
        Types(With, With.Store("boathouse", s => s with { Room = ByteSize.FromTB(16) })).ShouldBeEmpty();
        Types(With, With.With(KeepingEdits.TakeCopies([new KnownCopy(Copied.Notes, "vault", "2027-02-28T23:30")]))).ShouldBeEmpty();
    }

    [Fact]
    public void What_comes_into_a_job_is_copied_and_nothing_else_once_more()
    {
        var half = With.With(KeepingEdits.Untick("nightly", Copied.Cloud, VolumePart.Bulk, [VolumePart.System, VolumePart.Bulk]));
        Types(With, half).ShouldBe(["set-up-job"], "less is no copy");
        var without = With.With(KeepingEdits.Leave("nightly", new JobPart(Copied.Cloud).Key));
        var again = Of(without, With, "run-first-copy");
        again.Values.Single(v => v.Label == "copies").Value.ShouldBe("510 GB");

        // A volume that is ticked once more is copied, not the guest it is of: 500 GB of bulk data, or 10 GB of system disk.
        Values(Of(half, With, "run-first-copy"), "copies").ShouldBe(["500 GB"]);
        var bulk = With.With(KeepingEdits.Untick("nightly", Copied.Cloud, VolumePart.System, [VolumePart.System, VolumePart.Bulk]));
        Values(Of(bulk, With, "run-first-copy"), "copies").ShouldBe(["10 GB"]);
        Types(
                half,
                half.With(
                    KeepingEdits.Take(
                        "nightly",
                        half.Jobs.Single().Takes.Single(p => p.Guest == Copied.Cloud) with
                        {
                            Why = "it is elsewhere too",
                        }
                    )
                )
            )
            .ShouldBeEmpty("a reason is no work");
    }

    [Fact]
    public void Taken_out_of_use_copies_stay()
    {
        var steps = RunbookBuilder.Build(With, Without).Steps;
        steps.Select(s => s.Act.Type).Distinct().ShouldBe(["stop-copying"]);
        steps
            .Select(s => s.What)
            .ToList()
            .FindLastIndex(w => !w.Contains("store "))
            .ShouldBeLessThan(
                steps.Select(s => s.What).ToList().FindIndex(w => w.Contains("store ")),
                "what copies into a store ends first"
            );
        foreach (var step in steps)
        {
            step.Act.Wipes.ShouldBeEmpty();
            step.Act.Stops.ShouldBeEmpty();
            step.Values.Single().Value.ShouldStartWith("stay;");
        }

        var stands = Through(With, Without);
        (stands.Stores.Count + stands.Jobs.Count + stands.Onward.Count).ShouldBe(0);
    }

    [Fact]
    public void A_store_that_nobody_can_delete_from_says_so_before_it_is_set_up()
    {
        var steps = RunbookBuilder.Build(Without, With).Steps.Where(s => s.Act.Type == "set-up-store").ToDictionary(s => s.What);
        steps["Set up the store boathouse"].Caution!.ShouldContain("begin with a short time");
        steps["Set up the store vault"].Caution.ShouldBeNull();
        steps["Set up the store vault"].Check.ShouldContain("not deleted again");
    }

    [Fact]
    public void A_first_copy_ticked_with_its_time_is_the_rate_the_job_is_reckoned_with_from_then_on()
    {
        var stands = UpTo(Without, With, "run-first-copy");
        var step = Of(stands, With, "run-first-copy");

        // 530 GB in 200 minutes are 44.17 MB/s: less than half of what the line would carry.
        var learned = Learned(stands, With, step.Id, 200, Copied.Today)!(With);
        learned.Lab.Jobs.Single().Rate!.Value.ShouldBe(530e3 / (200 * 60), 0.01);
        learned.Sentence.ShouldBe("job nightly copies 44.2 MB/s, as measured");
        var ticked = stands.With(RunbookTick.Off(With, step.Id, 200, Copied.Today));
        ticked.Jobs.ShouldBeEmpty("the job is not through yet");
        ticked.Took.ShouldBeEmpty("it is about this job, not about first copies in general");

        var done = Through(ticked, learned.Lab);
        done.Jobs.Single().Rate.ShouldBe(learned.Lab.Jobs.Single().Rate);
        RunbookBuilder.Build(done, learned.Lab).Open.ShouldBe(0);
        var (before, after) = (With.Keeping().Jobs[0], learned.Lab.Keeping().Jobs[0]);
        (after.FirstTime.Minutes / before.FirstTime.Minutes).ShouldBe(Gigabit / 1e6 / 44.17, 0.02);
        (after.EachTime.Minutes / before.EachTime.Minutes).ShouldBe(Gigabit / 1e6 / 44.17, 0.02);
    }

    [Theory]
    [InlineData(null)]
    [InlineData(0.0000001)]
    public void Without_a_time_anybody_can_have_measured_nothing_is_learnt(double? minutes)
    {
        var stands = UpTo(Without, With, "run-first-copy");
        Learned(stands, With, Of(stands, With, "run-first-copy").Id, minutes, Copied.Today).ShouldBeNull();
    }

    [Fact]
    public void A_drill_is_brought_back_beside_what_stands_with_no_network_looked_at_and_taken_away()
    {
        var draft = With.With(KeepingEdits.Drill(new Drill(DrillKind.Guest, Copied.Today.AddDays(7), Copied.Cloud)));
        Types(With, draft).ShouldBe(["bring-back-for-drill", "look-at-drill", "end-drill"]);
        var back = Of(With, draft, "bring-back-for-drill");
        Values(back, "name").ShouldBe(["cloud-drill"]);
        Values(back, "network").Single().ShouldStartWith("off");
        back.Caution!.ShouldContain("never over it");
        ((double)back.Minutes).ShouldBe(5 + draft.Keeping().Guests.Single(g => g.Guest.Id == Copied.Cloud).Restore!.Value.Minutes, 2);
    }

    [Fact]
    public void A_drill_ticked_to_its_end_came_back_on_the_day_it_was_ticked_in_the_minutes_it_took()
    {
        var draft = With.With(KeepingEdits.Drill(new Drill(DrillKind.Guest, Copied.Today.AddDays(7), Copied.Cloud)));
        var (stands, done) = (With, Copied.Today.AddDays(3));
        foreach (
            var (type, minutes) in new (string, double?)[] { ("bring-back-for-drill", 94.2), ("look-at-drill", null), ("end-drill", null) }
        )
        {
            var step = Of(stands, draft, type);
            var learned = Learned(stands, draft, step.Id, minutes, done);
            stands = stands.With(RunbookTick.Off(draft, step.Id, minutes, done));
            draft = learned is null ? draft : draft.With(learned);
        }

        var drill = new Drill(DrillKind.Guest, done, Copied.Cloud, Worked: true, Minutes: 95);
        draft.Drills.ShouldContain(drill);
        stands.Drills.ShouldBe(draft.Drills, ignoreOrder: true);
        RunbookBuilder.Build(stands, draft).Open.ShouldBe(0);
        var keeping = HouseKeeping.Of(Core.Bench.Sums.Of(draft, done), done);
        DrillPlan.LastWorked(keeping).ShouldBe(done);
        keeping
            .Guests.Single(g => g.Guest.Id == Copied.Cloud)
            .Restore!.Value.Minutes.ShouldBe(95, "a time that was measured counts more than one that was reckoned");
    }

    [Fact]
    public void A_drill_ticked_off_at_once_came_back_too()
    {
        var draft = With.With(KeepingEdits.Drill(new Drill(DrillKind.Guest, Copied.Today.AddDays(7), Copied.Cloud)));
        var key = RunbookBuilder.Build(With, draft).Sections.Single().Key;
        var stands = With.With(RunbookTick.OffAll(draft, key, Copied.Today));
        var learned = LearnedOfAll(With, draft, key, Copied.Today)!(draft).Lab;
        learned.Drills.ShouldContain(new Drill(DrillKind.Guest, Copied.Today, Copied.Cloud, Worked: true));
        stands.Drills.ShouldBe(learned.Drills, ignoreOrder: true);
    }

    [Fact]
    public void A_drill_of_a_day_that_is_yet_to_come_was_not_done()
    {
        var said = With.With(
            KeepingEdits.Drill(new Drill(DrillKind.Guest, Copied.Today.AddDays(400), Copied.Cloud, Worked: true, Minutes: 1))
        );
        DrillPlan.LastWorked(said.Keeping()).ShouldBe(Copied.Today.AddDays(-7));
        said.Keeping().Guests.Single(g => g.Guest.Id == Copied.Cloud).Measured.ShouldBeFalse();
    }

    [Fact]
    public void A_drill_written_down_for_another_day_is_still_one_drill()
    {
        var planned = new Drill(DrillKind.House, Copied.Today.AddDays(30));
        var lab = With.With(KeepingEdits.Drill(planned))
            .With(KeepingEdits.Drill(planned with { On = Copied.Today, Worked = false, Note = "the key did not open it" }, planned.Key));
        lab.Drills.Single(d => d.Kind == DrillKind.House).On.ShouldBe(Copied.Today);
        lab.With(KeepingEdits.CameBack("house  2031-01-01", Copied.Today)).ShouldBe(lab, "there is no such drill");
    }

    /// <summary>Whatever is planned in whatever home: ticked in the order it is given, with times somebody measured, each step is done once, and then all of it stands.</summary>
    [Fact]
    public void Any_plan_of_copies_comes_to_its_end_with_what_was_learnt_on_the_way()
    {
        var (ticks, learnt) = (0, 0);
        (from lab in Gens.AnyBuilt from seed in Gen.Int select (lab, seed)).Holds(
            (lab, seed) =>
            {
                var random = new Random(seed);
                var stands = Standing.Of(Standing.AllMarked(lab));
                var draft = seed % 2 == 0 ? CopyGens.Kept(lab, random) : CopyGens.Carried(lab, random);
                HashSet<string> ticked = [];
                while (RunbookBuilder.Build(stands, draft) is var runbook && runbook.Steps.FirstOrDefault(runbook.CanTick) is { } next)
                {
                    ticked.Add(next.Id).ShouldBeTrue($"{next.What} was ticked already");
                    double? took = random.Next(3) == 0 ? null : random.Next(1, 5_000);
                    var learned = Learned(stands, draft, next.Id, took, Copied.Today);
                    stands = stands.With(RunbookTick.Off(draft, next.Id, took, Copied.Today));
                    draft = learned is null ? draft : draft.With(learned);
                    Interlocked.Add(ref learnt, learned is null ? 0 : 1);
                }

                RunbookBuilder.Build(stands, draft).Steps.Where(s => s.Act.CanBeDone).Select(s => s.What).ShouldBeEmpty();
                foreach (var job in stands.Jobs)
                {
                    job.Rate.ShouldBe(draft.Jobs.Single(j => j.Name == job.Name).Rate, job.Name);
                }

                draft
                    .Drills.Where(d => d.Worked == true && ticked.Count > 0 && (d.Guest is not { } id || stands.Guest(id) is not null))
                    .Except(stands.Drills)
                    .ShouldBeEmpty("what came back is known of what stands");
                Interlocked.Add(ref ticks, ticked.Count);
            },
            iter: 150
        );
        ticks.ShouldBeGreaterThan(200);
        learnt.ShouldBeGreaterThan(10);
    }

    /// <summary>What the draft learns from a tick.</summary>
    private static Edit? Learned(Lab stands, Lab draft, string step, double? took, DateOnly today)
    {
        Edit? learned = null;
        RunbookTick.Off(draft, step, took, today, edit => learned = edit)(stands);
        return learned;
    }

    private static Edit? LearnedOfAll(Lab stands, Lab draft, string section, DateOnly today)
    {
        Edit? learned = null;
        RunbookTick.OffAll(draft, section, today, edit => learned = edit)(stands);
        return learned;
    }

    private static Lab Onward(Func<OnwardCopy, OnwardCopy> change) =>
        With.With(KeepingEdits.Onward(change(With.Onward.Single()), With.Onward.Single().Key));

    private static IReadOnlyList<string> Types(Lab stands, Lab draft) =>
        [.. RunbookBuilder.Build(stands, draft).Steps.Select(s => s.Act.Type)];

    private static RunbookStep Of(Lab stands, Lab draft, string type) =>
        RunbookBuilder.Build(stands, draft).Steps.First(s => s.Act.Type == type && !s.Done);

    private static IEnumerable<string> Values(RunbookStep step, string label) =>
        step.Values.Where(v => v.Label == label).Select(v => v.Value);

    /// <summary>Ticks off all before the first step of a type.</summary>
    private static Lab UpTo(Lab stands, Lab draft, string type) =>
        Ticked(stands, draft, r => !r.Steps.Any(s => s.Act.Type == type && r.CanTick(s)));

    /// <summary>Ticks off all that is left.</summary>
    private static Lab Through(Lab stands, Lab draft) => Ticked(stands, draft, r => r.Open > 0);

    private static Lab Ticked(Lab stands, Lab draft, Func<Runbook, bool> more)
    {
        var ticked = new List<string>();
        while (RunbookBuilder.Build(stands, draft) is var runbook && more(runbook))
        {
            var next = runbook.Steps.First(runbook.CanTick);
            ticked.ShouldNotContain(next.Id, "ticked once, it is done");
            ticked.Add(next.Id);
            stands = stands.With(RunbookTick.Off(draft, next.Id));
        }

        return stands;
    }
}
