using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «backup-server-with-drills»: data, mounts, stores, jobs and restores.</summary>
public class BackupServerWithDrillsTests
{
    private readonly Job job = new("backup-server-with-drills");

    [Fact]
    public void No_blocker() => job.Blockers.ShouldBeEmpty();

    [Fact]
    public void The_backup_server_in_its_own_job_is_a_blocker() =>
        job.With(l =>
                l with
                {
                    Jobs = l.Jobs.Change(
                        j => j.Name == "nightly",
                        j => j with { Takes = [.. j.Takes, new(l.Guests.First(g => g.Name == "vaultkeep").Id)] }
                    ),
                }
            )
            .Findings.ShouldContain(f => f.Severity == Core.Findings.Severity.Stop && f.Title.Contains("vaultkeep"));

    [Fact]
    public void Bulk_data_of_the_database_left_out_is_no_secret() =>
        job.With(l =>
                l with
                {
                    Jobs = l.Jobs.Change(
                        j => j.Name == "ledger dumped",
                        j => j with { Takes = [.. j.Takes.Select(p => p with { Without = [VolumePart.Bulk] })] }
                    ),
                }
            )
            .Findings.ShouldContain(f => f.Severity == Core.Findings.Severity.Stop && f.Title.Contains("ledger"));

    [Fact]
    public void The_store_is_expected_with_3_875_TB() =>
        Job.ValueOf(job.Step("Make the pool strongbox"), "room to expect").ShouldContain("3.88 TB");

    [Fact]
    public void Its_own_store_is_never_ticked_and_no_backup_of_it_occurs()
    {
        job.Text.ShouldNotContain(", ticked for backup");
        Job.ValueOf(job.Step("Create the machine"), "bulk data").ShouldContain("not ticked for backup");
        job.Text.ShouldNotContain("432 min");
    }

    [Fact]
    public void Prune_collection_and_verification_are_set_before_the_first_backup()
    {
        var store = job.Step("Set up the store vaultkeep");
        Job.TextOf(store).ShouldContain("03:30");
        Job.TextOf(store).ShouldContain("Saturdays at 12:00");
        job.At(store).ShouldBeLessThan(job.At(job.Of("run-first-copy").First()));
    }

    [Fact]
    public void A_step_on_the_hypervisor_enters_the_store()
    {
        var step = job.Of("connect-store").Single(s => job.HostOf(s) == "inglenook");
        Job.TextOf(step).ShouldContain("10.93.0.23");
        step.Values.ShouldContain(v => v.Label == "fingerprint" && v.Blank);
        step.Values.ShouldContain(v => v.Label == "account" && v.Value.Contains("add and not delete"));
    }

    [Fact]
    public void The_key_is_laid_away_and_tried_before_the_first_backup() =>
        job.At(job.Step("Lay the key")).ShouldBeLessThan(job.At(job.Of("run-first-copy").First()));

    [Fact]
    public void Jobs_are_set_up_where_the_guests_run() =>
        job.Of("set-up-job").Select(job.HostOf).ShouldBe(["inglenook", "inglenook", "spindle"]);

    [Fact]
    public void First_runs_copy_each_guest_once_in_the_time_it_takes()
    {
        var runs = job.Of("run-first-copy").ToList();
        Job.ValueOf(runs[0], "copies").ShouldContain("85.9 GB");
        runs[0].Minutes.ShouldBeInRange(12, 18);
        Job.ValueOf(runs[1], "copies").ShouldContain("118 GB");
        runs[1].Minutes.ShouldBeInRange(17, 25);
    }

    [Fact]
    public void The_agent_is_installed_on_the_server_whose_files_it_takes()
    {
        var agent = job.Step("Install the backup agent");
        job.HostOf(agent).ShouldBe("spindle");
        Job.TextOf(agent).ShouldContain("/srv");
        Job.TextOf(job.Of("set-up-job").Last()).ShouldContain("files of spindle, by an agent, 12 GB");
        job.Text.ShouldNotContain("settings of spindle");
    }

    [Fact]
    public void It_comes_back_as_another_guest_with_its_network_off()
    {
        var back = job.Of("bring-back-for-drill").First();
        Job.TextOf(back).ShouldContain("latch-");
        Job.TextOf(back).ShouldContain("off");
    }

    [Fact]
    public void Both_restore_tests_are_steps_the_file_one_too() => job.Of("bring-back-for-drill").Count().ShouldBe(2);

    [Fact]
    public void Nothing_on_the_hypervisor_is_installed_wiped_or_restarted() =>
        job.Steps.Where(s => job.HostOf(s) == "inglenook").ShouldAllBe(s => s.Act.Wipes.Count == 0 && !s.Act.Type.StartsWith("install"));
}
