using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «engine-on-a-single-board»: data, mounts, stores, jobs and restores.</summary>
public class EngineOnASingleBoardTests
{
    private readonly Job job = new("engine-on-a-single-board");

    [Fact]
    public void No_blocker() => job.Blockers.ShouldBeEmpty();

    [Fact]
    public void Compose_files_lie_on_the_flash_drive()
    {
        job.Text.ShouldContain("/srv/slate");
        job.Steps.SelectMany(s => s.Values).Where(v => v.Label == "Compose file").ShouldAllBe(v => v.Value.StartsWith("/srv/slate/"));
    }

    [Fact]
    public void Store_and_job_come_before_the_one_first_backup_of_550_MB()
    {
        job.Of("run-first-copy").Count().ShouldBe(1);
        job.Keeping.Jobs.Single().First.TB.ShouldBe(0.00055, 2e-05);
    }

    [Fact]
    public void Archives_count_as_backups() =>
        job
            .Keeping.Guests.Where(g => g.Guest.Name is "helm" or "crumb")
            .ShouldAllBe(g => g.WorstLoss != null && g.WorstLoss.Value.Hours < 180);
}
