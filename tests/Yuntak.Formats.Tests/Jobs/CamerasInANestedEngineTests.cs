using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «cameras-in-a-nested-engine»: data, mounts, stores, jobs and restores.</summary>
public class CamerasInANestedEngineTests
{
    private readonly Job job = new("cameras-in-a-nested-engine");

    [Fact]
    public void The_recordings_go_in_once_and_nowhere_else()
    {
        job.Text.ShouldNotContain("/silo/cote");
        job.Text.ShouldNotContain("/srv/data/lookout");
    }

    [Fact]
    public void The_Compose_file_has_the_recordings_and_no_other_bulk_folder()
    {
        job.Compose("lookout").ShouldContain("/footage");
        job.Compose("lookout").ShouldNotContain("/srv/data");
    }

    [Fact]
    public void The_engine_keeps_its_data_on_the_guest_s_own_disk() => job.Text.ShouldNotContain("data root: /silo");

    [Fact]
    public void The_first_run_is_55_9_GB_in_15_minutes_at_most()
    {
        var run = job.Of("run-first-copy").Single();
        Job.ValueOf(run, "copies").ShouldBe("55.9 GB");
        run.Minutes.ShouldBeLessThanOrEqualTo(15);
    }

    [Fact]
    public void What_lies_in_a_shared_folder_is_not_asked_of_the_system_disk() =>
        job.Assessment.Findings.ShouldNotContain(f => f.Rule.Id == "wants.system-disk-short");
}
