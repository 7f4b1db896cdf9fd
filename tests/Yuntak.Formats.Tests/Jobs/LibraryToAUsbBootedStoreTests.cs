using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «library-to-a-usb-booted-store»: data, mounts, stores, jobs and restores.</summary>
public class LibraryToAUsbBootedStoreTests
{
    private readonly Job job = new("library-to-a-usb-booted-store");

    [Fact]
    public void No_blocker() => job.Blockers.ShouldBeEmpty();

    [Fact]
    public void The_state_of_the_service_is_in_a_job() =>
        job.Assessment.Findings.ShouldNotContain(f => f.Title.Contains("playbill is in no job"));

    [Fact]
    public void The_films_are_handed_in_to_be_read_and_both_folders_stay()
    {
        var compose = job.Compose("playbill");
        compose.ShouldContain("/mnt/films");
        compose.ShouldContain("read_only: true");
    }
}
