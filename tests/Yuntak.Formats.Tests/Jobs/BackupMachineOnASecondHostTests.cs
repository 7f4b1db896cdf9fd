using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «backup-machine-on-a-second-host»: data, mounts, stores, jobs and restores.</summary>
public class BackupMachineOnASecondHostTests
{
    private readonly Job job = new("backup-machine-on-a-second-host");

    [Fact]
    public void A_job_that_takes_the_backup_server_is_a_blocker() =>
        job.With(l =>
                l with
                {
                    Jobs = [.. l.Jobs.Select(j => j with { Takes = [.. j.Takes, new(l.Guests.First(g => g.Name == "tally").Id)] })],
                }
            )
            .Findings.ShouldContain(f => f.Severity == Core.Findings.Severity.Stop && f.Title.Contains("tally"));

    [Fact]
    public void Its_35_TiB_are_not_ticked() =>
        Job.ValueOf(job.Step("Create the machine"), "bulk data").ShouldStartWith("35.2 TiB in silo, not ticked");

    [Fact]
    public void A_step_on_the_first_host_adds_the_store() => job.HostOf(job.Of("connect-store").Single()).ShouldBe("cloister");

    [Fact]
    public void The_job_is_set_up_on_the_first_host() => job.HostOf(job.Of("set-up-job").Single()).ShouldBe("cloister");

    [Fact]
    public void Its_first_run_is_14_05_TB_in_32_9_hours()
    {
        var run = job.Of("run-first-copy").Single();
        job.Keeping.Jobs.Single().First.TB.ShouldBe(14.05, 0.02);
        (run.Minutes / 60.0).ShouldBe(32.9, 1);
    }

    [Fact]
    public void Sunday_s_run_ends_at_02_39_and_a_guest_is_back_in_21_hours()
    {
        (job.Keeping.Room(job.Keeping.Stores.Single()).Used.TB).ShouldBe(15.5, 0.2);
        job.Keeping.Guests.Single(g => g.Guest.Name == "vellum").Restore!.Value.Hours.ShouldBe(21.3, 0.5);
    }

    [Fact]
    public void Its_own_loss_is_set_up_anew_and_the_house_comes_back()
    {
        var own = job.Keeping.Guests.Single(g => g.Guest.Name == "tally");
        own.SetUpAnew.ShouldBeTrue();
        own.Restore.ShouldNotBeNull();
        job.Keeping.HouseRestore.ShouldNotBeNull();
        job.Assessment.Findings.ShouldNotContain(f => f.Title.Contains("tally is in no job"));
    }
}
