using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Runbooks;

/// <summary>Before something that stands is touched, what is said of its backups is what jobs that are set up and lists of copies tell, and no more.</summary>
public class CopiesBeforeTests
{
    private static readonly Lab Stands = Copied.Sound();

    private static IReadOnlyList<string> Said(Lab stands, Lab draft) => [.. CopiesBefore.Of(RunbookBuilder.Build(stands, draft))];

    private static Lab Moved(Lab lab) => lab.With(GuestEdits.Place(Copied.Notes, new HostId("wren")));

    [Fact]
    public void Where_nothing_that_stands_is_touched_nothing_is_said()
    {
        Said(Stands, Stands).ShouldBeEmpty();
        Said(Lab.Empty("new"), Stands).ShouldBeEmpty();
    }

    [Fact]
    public void A_job_that_is_set_up_is_named() =>
        Said(Stands, Moved(Stands)).ShouldBe(["nightly copies notes every day at 23:30. Look whether the last one is there."]);

    [Fact]
    public void A_copy_that_may_be_a_week_old_is_taken_once_more()
    {
        var weekly = Stands.Job(j => j with { Times = "sun 01:00" });
        Said(weekly, Moved(weekly)).ShouldBe(["nightly copies notes Sundays at 01:00. Let it run once more first."]);
    }

    [Fact]
    public void A_job_that_is_only_planned_copies_nothing_yet() =>
        Said(Copied.House(), Moved(Stands)).ShouldBe(["No job that is set up copies notes: take a backup by hand first."]);

    [Fact]
    public void A_job_that_leaves_a_volume_out_is_no_backup_of_the_guest()
    {
        var half = Stands.With(KeepingEdits.Untick("nightly", Copied.Notes, VolumePart.System, [VolumePart.System]));
        Said(half, Moved(half)).ShouldBe(["No job that is set up copies notes: take a backup by hand first."]);
    }

    [Fact]
    public void The_list_of_the_store_says_how_old_the_newest_is()
    {
        var listed = Stands.With(KeepingEdits.TakeCopies([new KnownCopy(Copied.Notes, "vault", "2027-02-28T23:30")]));
        Said(listed, Moved(listed)).Single().ShouldContain("each has a copy of 2027-02-28 or later");
    }

    [Fact]
    public void The_step_that_takes_a_backup_counts_on_a_job_only_once_it_is_set_up()
    {
        static IEnumerable<string> Steps(Lab stands, Lab draft) =>
            RunbookBuilder
                .Build(stands, draft)
                .Steps.Where(s => s.Act.Type == "backup-guest")
                .SelectMany(s => s.Values)
                .Select(v => v.Label);
        Steps(Stands, Moved(Stands)).ShouldContain("copied by");
        Steps(Copied.House(), Moved(Stands)).ShouldNotContain("copied by");
    }
}
