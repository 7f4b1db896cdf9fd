using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «hub-on-a-nas»: data, mounts, stores, jobs and restores.</summary>
public class HubOnANasTests
{
    private readonly Job job = new("hub-on-a-nas");

    [Fact]
    public void No_blocker() => job.Blockers.ShouldBeEmpty();

    [Fact]
    public void No_second_folder_appears_anywhere()
    {
        job.Text.ShouldNotContain("/shelf1/hearthside");
        job.Compose("hearthside").ShouldNotContain("/shelf1/hearthside");
    }

    [Fact]
    public void The_Compose_file_lies_below_the_pool() => job.Text.ShouldContain("/shelf1/apps/hearthside/compose.yaml");

    [Fact]
    public void Store_and_job_come_before_the_first_backup_which_is_small()
    {
        var run = job.Of("run-first-copy").Single();
        job.At(run).ShouldBeGreaterThan(job.At(job.Of("set-up-store").First()));
        job.Keeping.Jobs.Single().First.TB.ShouldBeLessThan(0.0027);
        run.Minutes.ShouldBeLessThanOrEqualTo(6);
    }
}
