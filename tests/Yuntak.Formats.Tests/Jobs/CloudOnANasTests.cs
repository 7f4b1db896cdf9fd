using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «cloud-on-a-nas»: data, mounts, stores, jobs and restores.</summary>
public class CloudOnANasTests
{
    private readonly Job job = new("cloud-on-a-nas");

    [Fact]
    public void No_folder_is_made_beside_those_that_were_named()
    {
        job.Text.ShouldNotContain("/srv/meadow/cirrus");
        job.Compose("cirrus").ShouldNotContain("/srv/meadow/cirrus");
        job.Text.ShouldContain("/srv/meadow/apps/cirrus/data");
        job.Text.ShouldContain("/srv/meadow/apps/cirrus/database");
    }

    [Fact]
    public void What_is_there_is_not_made() => job.Text.ShouldNotContain("mkdir -p -- /srv/meadow/recordings");

    [Fact]
    public void The_Compose_file_hands_the_recordings_in_to_be_read()
    {
        var compose = job.Compose("cirrus");
        compose.ShouldContain("/srv/meadow/recordings");
        compose.ShouldContain("/recordings");
        compose.ShouldContain("read_only: true");
    }

    [Fact]
    public void Nothing_is_mounted_that_lies_on_the_own_host()
    {
        job.Text.ShouldNotContain("/etc/fstab");
        job.Text.ShouldNotContain("/etc/shares");
    }

    [Fact]
    public void The_Compose_file_lies_below_the_data_pool() => job.Text.ShouldContain("/srv/meadow/apps/cirrus/compose.yaml");

    [Fact]
    public void The_job_takes_the_recordings_once_in_two_hours()
    {
        var sundays = job.Keeping.Jobs.Single();
        sundays.Segments.Count(s => s.Name.Contains("recordings")).ShouldBe(1);
        (sundays.FirstTime.Hours).ShouldBeInRange(1.8, 2.4);
        job.Of("set-up-job").Single().Values.Count(v => v.Value.Contains("recordings")).ShouldBe(1);
    }

    [Fact]
    public void The_recordings_are_in_a_job() =>
        job.Assessment.Findings.ShouldNotContain(f => f.Title.Contains("recordings is in no job") || f.Title.Contains("nobody's backup"));

    [Fact]
    public void The_first_backup_is_the_first_run_of_the_job() => job.Of("run-first-copy").Count().ShouldBe(1);

    [Fact]
    public void The_carried_disk_is_plugged_in_encrypted_and_carried()
    {
        var disk = job.Step("which is carried");
        Job.TextOf(disk).ShouldContain("plug it in: into oxbow");
        Job.TextOf(disk).ShouldContain("encryption: on");
        Job.TextOf(disk).ShouldContain("carry it: to a sister's flat");
        Job.TextOf(disk).ShouldNotContain("account");
    }
}
