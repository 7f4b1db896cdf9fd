using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «backup-store-elsewhere»: data, mounts, stores, jobs and restores.</summary>
public class BackupStoreElsewhereTests
{
    private readonly Job job = new("backup-store-elsewhere");

    [Fact]
    public void No_blocker() => job.Blockers.ShouldBeEmpty();

    [Fact]
    public void Account_fingerprint_first_copy_verification_and_schedule_come_in_this_order() =>
        job
            .Steps.Select(s => s.Act.Type)
            .Where(t => t is "allow-onward" or "first-onward" or "set-up-onward")
            .ShouldBe(["allow-onward", "first-onward", "set-up-onward"]);

    [Fact]
    public void The_account_at_the_near_store_may_read_only() => job.Text.ShouldContain("an account that may read, and nothing else");

    [Fact]
    public void The_far_store_is_verified_where_it_stands() => job.HostOf(job.Of("read-back").Last()).ShouldBe("outpost");

    [Fact]
    public void The_restore_test_is_a_step() => job.Of("bring-back-for-drill").ShouldNotBeEmpty();

    [Fact]
    public void Nothing_that_stands_is_installed_or_wiped() =>
        job
            .Steps.Where(s => job.HostOf(s) is "weir" or "cellar")
            .ShouldAllBe(s => s.Act.Wipes.Count == 0 && !s.Act.Type.StartsWith("install"));
}
