using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «first-evening-of-a-hypervisor»: data, mounts, stores, jobs and restores.</summary>
public class FirstEveningOfAHypervisorTests
{
    private readonly Job job = new("first-evening-of-a-hypervisor");

    [Fact]
    public void No_blocker() => job.Blockers.ShouldBeEmpty();

    [Fact]
    public void The_job_is_set_up_on_the_hypervisor_and_each_backup_names_its_store()
    {
        job.HostOf(job.Of("set-up-job").Single()).ShouldBe("bellows");
        job.At(job.Of("connect-store").Single()).ShouldBeLessThan(job.At(job.Of("run-first-copy").Single()));
    }

    [Fact]
    public void The_first_run_counts_77_GB() => job.Keeping.Jobs.Single().First.TB.ShouldBe(0.077, 0.002);

    [Fact]
    public void Both_guests_lose_a_week_at_most() => job.Keeping.Guests.ShouldAllBe(g => g.WorstLoss!.Value.Hours < 180);
}
