using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «backup-server-on-a-nas»: data, mounts, stores, jobs and restores.</summary>
public class BackupServerOnANasTests
{
    private readonly Job job = new("backup-server-on-a-nas");

    [Fact]
    public void No_blocker() => job.Blockers.ShouldBeEmpty();

    [Fact]
    public void The_volume_of_the_store_is_not_ticked_and_the_step_says_why() =>
        Job.ValueOf(job.Step("Create the machine"), "bulk data").ShouldContain("not ticked for backup: it holds the copies");

    [Fact]
    public void Store_and_account_come_before_the_job() =>
        job.At(job.Step("Set up the store")).ShouldBeLessThan(job.At(job.Of("set-up-job").Single()));

    [Fact]
    public void A_step_on_the_hypervisor_connects_the_store()
    {
        var step = job.Of("connect-store").Single();
        job.HostOf(step).ShouldBe("alder");
        Job.TextOf(step).ShouldContain("10.18.6.60");
    }

    [Fact]
    public void The_steps_of_the_job_are_on_the_hypervisor() => job.HostOf(job.Of("set-up-job").Single()).ShouldBe("alder");

    [Fact]
    public void The_first_run_is_at_most_85_9_GB_in_12_to_18_minutes()
    {
        var run = job.Of("run-first-copy").Single();
        Job.ValueOf(run, "copies").ShouldBe("85.9 GB");
        run.Minutes.ShouldBeInRange(12, 18);
    }

    [Fact]
    public void Nothing_copies_the_volume_of_the_store() =>
        job.Keeping.Jobs.SelectMany(j => j.Segments).ShouldNotContain(s => s.Name.Contains("strongbox"));
}
