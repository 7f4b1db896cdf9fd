using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «films-container-on-a-small-hypervisor»: data, mounts, stores, jobs and restores.</summary>
public class FilmsContainerOnASmallHypervisorTests
{
    private readonly Job job = new("films-container-on-a-small-hypervisor");

    [Fact]
    public void No_blocker() => job.Blockers.ShouldBeEmpty();

    [Fact]
    public void A_system_disk_of_24_GiB_is_too_small_for_its_scratch_space()
    {
        var given = job.With(l =>
            l.WithGuest(
                l.Guests.First(g => g.Name == "plover").Id,
                g => g with { Overrides = g.Overrides with { SystemDisk = ByteSize.FromGiB(24) } }
            )
        );
        given.Findings.ShouldContain(f => f.Rule.Id == "wants.system-disk-short" && f.Severity == Core.Findings.Severity.Mind);
        job.Assessment.Findings.ShouldNotContain(f => f.Rule.Id == "wants.system-disk-short");
    }

    [Fact]
    public void No_second_folder_and_no_room_is_set_aside()
    {
        job.Text.ShouldNotContain("/pool/plover");
        job.Text.ShouldNotContain("4.91 TiB");
    }

    [Fact]
    public void No_backup_takes_the_films() =>
        job.Keeping.Jobs.SelectMany(j => j.Segments).ShouldNotContain(s => s.Size > ByteSize.FromTB(1));

    [Fact]
    public void The_share_of_the_box_is_mounted_and_entered_as_store_before_the_job()
    {
        var step = job.Of("connect-store").Single();
        job.HostOf(step).ShouldBe("sedge");
        Job.TextOf(step).ShouldContain("/vol/copies");
        Job.TextOf(step).ShouldContain("findmnt");
        job.At(step).ShouldBeLessThan(job.At(job.Of("set-up-job").Single()));
    }

    [Fact]
    public void The_first_run_copies_34_to_69_GB_once_each()
    {
        job.Keeping.Jobs.Single().First.TB.ShouldBeInRange(0.034, 0.069);
        job.Of("run-first-copy").Count().ShouldBe(1);
    }
}
