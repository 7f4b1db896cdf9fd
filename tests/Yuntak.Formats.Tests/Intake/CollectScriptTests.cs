using System.Diagnostics;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Formats.Intake;

namespace Yuntak.Formats.Tests.Intake;

/// <summary>The script itself, run on this machine under dash, the plainest of shells.</summary>
public sealed class CollectScriptTests : IDisposable
{
    private static readonly string Script = Path.Combine(AppContext.BaseDirectory, "collect.sh");
    private readonly DirectoryInfo tools = Directory.CreateTempSubdirectory("yuntak-tools-");

    [Fact]
    public void Shellcheck_has_nothing_to_say()
    {
        var (ended, said, _) = Run("shellcheck", Script);
        said.ShouldBeEmpty();
        ended.ShouldBe(0);
    }

    [Fact]
    public void On_this_machine_it_prints_a_bundle_that_is_read()
    {
        var (ended, said, problem) = Run("dash", Script);

        (ended, problem).ShouldBe((0, ""));
        said.ShouldStartWith("=== yuntak collect 1: host ");
        said.TrimEnd().ShouldEndWith("=== yuntak end ===");
        var reading = IntakeReader.Read(said);
        reading.Processor!.Threads.ShouldBe(Environment.ProcessorCount);
        reading.Memory!.Value.Bytes.ShouldBeInRange(64L << 20, 64L << 40);
        reading.On.ShouldNotBeNull();
        reading.HostName.ShouldNotBeNullOrEmpty();
        reading.Parts.Select(p => p.Part).ShouldBeSubsetOf(KitParts.All);
    }

    [Fact]
    public void Masked_serial_numbers_stay_the_same_from_part_to_part_and_run_to_run()
    {
        Fake("lsblk", "lsblk-nested.json");
        Fake("smartctl", "smartctl-ata.json");
        Fake("id", null, "echo 0");
        var plain = Run("dash", Script).Said;
        var masked = Run("dash", Script, "--mask").Said;

        plain.ShouldContain("TEST0002");
        masked.ShouldNotContain("TEST000");
        masked.ShouldNotContain("0x0000000000010001");
        masked.ShouldContain(", masked yes ===");
        MaskedLines(Run("dash", Script, "--mask").Said).ShouldBe(MaskedLines(masked));
        var disks = IntakeReader.Read(masked).Disks;
        disks.Count.ShouldBe(IntakeReader.Read(plain).Disks.Count);
        disks.Select(d => d.Id).ShouldBeUnique();
        disks.ShouldAllBe(d => d.Id.Contains("masked-"));
    }

    [Fact]
    public void Without_any_tool_it_still_ends_well_and_says_what_is_missing()
    {
        foreach (var tool in new[] { "uname", "date", "cat", "readlink", "find", "id" })
        {
            File.CreateSymbolicLink(Path.Combine(tools.FullName, tool), Which(tool));
        }

        var (ended, said, _) = Run("/bin/dash", tools.FullName, "-c", $"PATH={tools.FullName}; . {Script}");
        ended.ShouldBe(0);
        said.ShouldContain("=== yuntak end ===");
    }

    [Fact]
    public void A_wrong_word_is_refused()
    {
        var (ended, said, problem) = Run("dash", Script, "--everything");
        (ended, said).ShouldBe((2, ""));
        problem.ShouldContain("--mask");
    }

    public void Dispose() => tools.Delete(recursive: true);

    private static IEnumerable<string> MaskedLines(string text) => text.Split('\n').Where(l => l.Contains("masked-"));

    private static string Which(string tool) => new[] { "/usr/bin/", "/bin/" }.Select(p => p + tool).First(File.Exists);

    /// <summary>A tool that prints a sample, found before the real one.</summary>
    private void Fake(string name, string? sample, string? says = null)
    {
        var path = Path.Combine(tools.FullName, name);
        File.WriteAllText(path, "#!/bin/sh\n" + (says ?? $"cat '{Path.Combine(AppContext.BaseDirectory, "Samples", sample!)}'") + "\n");
        File.SetUnixFileMode(path, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
    }

    private (int Ended, string Said, string Problem) Run(string command, params string[] args)
    {
        var start = new ProcessStartInfo(command, args.Where(a => a != tools.FullName))
        {
            UseShellExecute = false,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        start.Environment["PATH"] = tools.FullName + ":" + Environment.GetEnvironmentVariable("PATH");
        using var process = Process.Start(start)!;
        var problem = process.StandardError.ReadToEndAsync();
        var said = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        return (process.ExitCode, said, problem.Result);
    }
}
