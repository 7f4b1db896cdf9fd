using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>What is to hold of the job «plain-server-for-app-stacks»: data, mounts, stores, jobs and restores.</summary>
public class PlainServerForAppStacksTests
{
    private readonly Job job = new("plain-server-for-app-stacks");

    [Fact]
    public void No_second_folder_appears_anywhere()
    {
        foreach (var text in new[] { job.Text, job.Compose("satchel"), job.Compose("latch") })
        {
            text.ShouldNotContain("/stow/satchel");
            text.ShouldNotContain("/stow/latch");
        }
    }

    [Fact]
    public void Compose_files_lie_beside_their_data()
    {
        foreach (var name in new[] { "wheelhouse", "satchel", "latch", "sieve" })
        {
            job.Text.ShouldContain($"/stow/stacks/{name}/compose.yaml");
        }
    }

    [Fact]
    public void What_is_in_an_archive_is_not_called_unbacked() =>
        job.Assessment.Findings.ShouldNotContain(f =>
            f.Title.Contains("is in no job") && (f.Title.Contains("wheelhouse") || f.Title.Contains("sieve"))
        );

    [Fact]
    public void The_file_restore_is_a_step() => job.Of("bring-back-for-drill").Single().What.ShouldContain("one file");
}
