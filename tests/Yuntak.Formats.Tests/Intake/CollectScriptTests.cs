using System.Diagnostics;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Formats.Intake;

namespace Yuntak.Formats.Tests.Intake;

/// <summary>The script itself, run on this machine under dash, the plainest of shells.</summary>
public sealed class CollectScriptTests : IDisposable
{
    private const string OwnPath = "PATH=/usr/sbin:/usr/bin:/sbin:/bin:/usr/local/sbin:/usr/local/bin";
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
        var script = WithTools();
        var plain = Run("dash", script).Said;
        var masked = Run("dash", script, "--mask").Said;

        plain.ShouldContain("TEST0002");
        masked.ShouldNotContain("TEST000");
        masked.ShouldNotContain("0x0000000000010001");
        masked.ShouldContain(", masked yes ===");
        MaskedLines(Run("dash", script, "--mask").Said).ShouldBe(MaskedLines(masked));
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

        var (ended, said, _) = Run("/bin/dash", WithTools(only: true));
        ended.ShouldBe(0);
        said.ShouldContain("=== yuntak end ===");
    }

    [Fact]
    public void Run_as_root_it_takes_no_tool_from_the_callers_folders()
    {
        var trace = Path.Combine(tools.FullName, "ran");
        foreach (var tool in new[] { "lscpu", "lsblk", "uname", "cat", "id" })
        {
            Fake(tool, null, $"echo {tool} >> {trace}");
        }

        Run("dash", Script).Ended.ShouldBe(0);
        File.Exists(trace).ShouldBeFalse();
    }

    [Fact]
    public void A_tool_that_hangs_as_on_a_dead_share_is_ended_and_what_comes_after_it_is_read()
    {
        Fake("findmnt", null, "exec tail -f /dev/null");
        var (ended, said, _) = Run("dash", WithTools(seconds: 1));
        ended.ShouldBe(0);
        said.ShouldContain("=== yuntak part listeners");
        said.TrimEnd().ShouldEndWith("=== yuntak end ===");
    }

    [Fact]
    public void A_disk_that_sleeps_is_left_asleep_unless_asked_for()
    {
        Fake("id", null, "echo 0");
        Fake("ls", null, "");
        Fake(
            "smartctl",
            null,
            "case \"$*\" in *standby*) echo 'Device is in STANDBY mode, exit(2)'; exit 2 ;; *) echo '{\"awake\":true}' ;; esac"
        );
        var script = WithTools(disks: "/dev/sdx");
        var asleep = Run("dash", script).Said;
        asleep.ShouldContain("# not run: smartctl /dev/sdx: the disk sleeps");
        asleep.ShouldNotContain("awake");
        Run("dash", script, "--wake").Said.ShouldContain("awake");
    }

    [Fact]
    public void Masked_it_names_neither_this_machine_nor_others_nor_any_address()
    {
        Fake("uname", null, "echo loft.saltmarsh.example");
        Fake(
            "ip",
            null,
            """
            echo '[{"ifname":"eno1","link_type":"ether","address":"02:7c:5e:00:00:01","broadcast":"ff:ff:ff:ff:ff:ff","addr_info":[{"family":"inet","local":"192.0.2.17","prefixlen":24,"broadcast":"192.0.2.255"},{"family":"inet6","local":"2001:db8:7::17","prefixlen":64},{"family":"inet6","local":"fe80::7c5e:1","prefixlen":64}]},{"dst":"default","gateway":"192.0.2.1"}]'
            """
        );
        Fake(
            "ss",
            null,
            "echo 'tcp LISTEN 0 9 192.0.2.17:22 0.0.0.0:*'; echo 'tcp LISTEN 0 9 [2001:db8:7::17]:80 [::]:*'; echo 'tcp LISTEN 0 9 127.0.0.1:53 0.0.0.0:*'"
        );
        Fake(
            "findmnt",
            null,
            """
            echo '{"filesystems":[{"target":"/srv/reels","source":"larder.saltmarsh.example:/reels","fstype":"nfs4"},{"target":"/srv/loft","source":"//192.0.2.9/loft","fstype":"cifs"},{"target":"/","source":"/dev/mapper/loft-root","fstype":"ext4"}]}'
            """
        );
        var script = WithTools();
        var masked = Run("dash", script, "--mask").Said;
        foreach (var told in new[] { "192.0.2", "2001:db8", "02:7c:5e", "7c5e:1", "saltmarsh", "larder" })
        {
            masked.ShouldNotContain(told);
        }

        masked.ShouldContain("127.0.0.1:53");
        masked.ShouldNotContain("loft-root");
        masked.ShouldContain("\"fstype\":\"nfs4\"");
        var (plain, hidden) = (IntakeReader.Read(Run("dash", script).Said), IntakeReader.Read(masked));
        plain.HostName.ShouldBe("loft.saltmarsh.example");
        hidden.HostName.ShouldNotBe(plain.HostName);
        hidden.Hardware.Ports.Select(n => n.Name).ShouldBe(plain.Hardware.Ports.Select(n => n.Name));
        hidden.Hardware.Listeners.Select(l => l.Port).ShouldBe(plain.Hardware.Listeners.Select(l => l.Port));
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

    /// <summary>The script as it is, but looking for tools in the folder of fakes first.</summary>
    private string WithTools(bool only = false, int? seconds = null, string? disks = null)
    {
        var text = File.ReadAllText(Script);
        text.ShouldContain(OwnPath);
        text = text.Replace(OwnPath, only ? $"PATH={tools.FullName}" : $"PATH={tools.FullName}:{OwnPath[5..]}");
        if (seconds is { } most)
        {
            text.ShouldContain("seconds_at_most=60");
            text = text.Replace("seconds_at_most=60", $"seconds_at_most={most}");
        }

        if (disks is not null)
        {
            text = text.Replace("whole_disks() {", $"whole_disks() {{ echo {disks}; return;");
        }

        var copy = Path.Combine(tools.FullName, "collect.sh");
        File.WriteAllText(copy, text);
        return copy;
    }

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
