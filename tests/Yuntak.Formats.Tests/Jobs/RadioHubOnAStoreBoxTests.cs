using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «radio-hub-on-a-store-box»: data, mounts, stores, jobs and restores.</summary>
public class RadioHubOnAStoreBoxTests
{
    private readonly Job job = new("radio-hub-on-a-store-box");

    [Fact]
    public void No_blocker() => job.Blockers.ShouldBeEmpty();

    [Fact]
    public void The_machine_has_one_disk_and_no_volume_beside_it()
    {
        job.Step("Create the machine").Values.ShouldNotContain(v => v.Label == "bulk data");
        Job.ValueOf(job.Step("Create the machine"), "system disk").ShouldBe("32 GiB in glint");
        job.Text.ShouldNotContain("/srv/data");
    }

    [Fact]
    public void The_Compose_file_has_one_bind_mount()
    {
        var compose = job.Compose("dusk");
        compose.Split("type: bind").Length.ShouldBe(2);
        compose.ShouldContain("/srv/dusk/config");
    }

    [Fact]
    public void The_carried_disk_has_no_account() => Job.TextOf(job.Step("which is carried")).ShouldNotContain("account");
}
