using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «hypervisor-with-parity-pool»: data, mounts, stores, jobs and restores.</summary>
public class HypervisorWithParityPoolTests
{
    private readonly Job job = new("hypervisor-with-parity-pool");

    [Fact]
    public void A_throw_away_machine_has_no_backup() =>
        job.Keeping.Jobs.SelectMany(j => j.Segments).ShouldNotContain(s => s.Name.Contains("fledgling"));

    [Fact]
    public void The_first_backup_is_the_first_run_of_the_job_at_most_26_GB()
    {
        job.Keeping.Jobs.Single(j => j.Job.Name == "nightly").First.TB.ShouldBeLessThan(0.026);
        job.Of("run-first-copy").Select(s => s.Minutes).ShouldAllBe(m => m <= 10);
    }
}
