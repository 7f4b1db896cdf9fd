using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «network-boot-for-testing»: data, mounts, stores, jobs and restores.</summary>
public class NetworkBootForTestingTests
{
    private readonly Job job = new("network-boot-for-testing");

    [Fact]
    public void No_blocker() => job.Blockers.ShouldBeEmpty();

    [Fact]
    public void A_system_disk_of_24_GiB_is_too_small_for_the_images()
    {
        var given = job.With(l =>
            l.WithGuest(
                l.Guests.First(g => g.Name == "lodestar").Id,
                g => g with { Overrides = g.Overrides with { SystemDisk = ByteSize.FromGiB(24) } }
            )
        );
        given.Findings.ShouldContain(f => f.Rule.Id == "wants.system-disk-short" && f.Title.Contains("lodestar"));
    }

    [Fact]
    public void Without_a_store_or_a_job_no_backup_step_appears() =>
        job.Steps.ShouldNotContain(s =>
            s.Act.Type == "run-first-copy" || s.Act.Type == "set-up-job" || s.Act.Type == "bring-back-for-drill"
        );
}
