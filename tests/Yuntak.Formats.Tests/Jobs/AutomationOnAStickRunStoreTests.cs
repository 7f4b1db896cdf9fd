using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «automation-on-a-stick-run-store»: data, mounts, stores, jobs and restores.</summary>
public class AutomationOnAStickRunStoreTests
{
    private readonly Job job = new("automation-on-a-stick-run-store");

    [Fact]
    public void No_blocker() => job.Blockers.ShouldBeEmpty();

    [Fact]
    public void Compose_files_lie_beside_their_data() => job.Text.ShouldNotContain("/srv/");

    [Fact]
    public void The_hub_has_one_bind_mount_and_no_second_folder()
    {
        job.Text.ShouldNotContain("/spark/cinder\n");
        job.Compose("cinder").Split("type: bind").Length.ShouldBe(2);
    }

    [Fact]
    public void Store_and_job_come_before_the_one_first_backup_of_3_28_GB()
    {
        job.Keeping.Jobs.Single().First.TB.ShouldBe(0.00328, 5e-05);
        job.Of("run-first-copy").Count().ShouldBe(1);
    }

    [Fact]
    public void The_hub_loses_a_day_and_not_everything() =>
        job.Keeping.Guests.Single(g => g.Guest.Name == "cinder").WorstLoss!.Value.Hours.ShouldBe(24, 0.2);
}
