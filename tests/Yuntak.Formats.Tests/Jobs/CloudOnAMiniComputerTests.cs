using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «cloud-on-a-mini-computer»: data, mounts, stores, jobs and restores.</summary>
public class CloudOnAMiniComputerTests
{
    private readonly Job job = new("cloud-on-a-mini-computer");

    [Fact]
    public void No_step_formats_or_wipes_the_usb_disk() =>
        job.Steps.SelectMany(s => s.Act.Wipes).ShouldNotContain(d => d == "usb-satchel-0c22");

    [Fact]
    public void The_folder_on_it_is_made_in_one_step_only() =>
        job.Steps.SelectMany(s => s.Values).Count(v => v.Value == "mkdir -p -- /srv/satchel/keepsake").ShouldBe(1);

    [Fact]
    public void Store_key_and_job_come_before_the_first_backup()
    {
        var run = job.At(job.Of("run-first-copy").Single());
        job.At(job.Step("Lay the key")).ShouldBeLessThan(run);
        job.At(job.Of("set-up-job").Single()).ShouldBeLessThan(run);
    }

    [Fact]
    public void The_carried_disk_is_encrypted_unplugged_and_carried_without_an_account()
    {
        var text = Job.TextOf(job.Step("which is carried"));
        text.ShouldContain("encryption: on");
        text.ShouldContain("unplug it");
        text.ShouldContain("carry it");
        text.ShouldNotContain("account");
    }
}
