using System.Diagnostics;
using System.Globalization;
using System.Text.RegularExpressions;

namespace Yuntak.Web.Tests;

/// <summary>The service unit, as systemd itself judges it. Where there is no systemd the settings are looked for by name.</summary>
public partial class ServiceTests
{
    private static readonly string Unit = Path.Combine(Repository.Root, "service", "yuntak.service");

    [Fact]
    public void It_is_confined_and_reaches_its_own_data_only()
    {
        var text = File.ReadAllText(Unit);
        string[] settings =
        [
            "User=yuntak",
            "NoNewPrivileges=yes",
            "ProtectSystem=strict",
            "ProtectHome=yes",
            "PrivateDevices=yes",
            "CapabilityBoundingSet=\n",
            "SystemCallFilter=@system-service",
            "IPAddressDeny=any",
            "UMask=0077",
            "StateDirectoryMode=0700",
        ];
        settings.ShouldAllBe(s => text.Contains(s));
        if (Exposure() is { } exposure)
        {
            exposure.ShouldBeLessThanOrEqualTo(2.5);
        }
    }

    [Fact]
    public void The_pack_and_the_unit_agree_on_where_things_are()
    {
        var launcher = File.ReadAllText(Path.Combine(Repository.Root, "yuntak"));
        File.ReadAllText(Unit).ShouldContain("ExecStart=/usr/local/lib/yuntak/app/Yuntak.Web --data /var/lib/yuntak");
        launcher.ShouldContain("/usr/local/lib/yuntak");
        launcher.ShouldContain("--data /var/lib/yuntak");
    }

    /// <summary>What systemd-analyze says, from 0 (nothing to lose) to 10; null where it is not there.</summary>
    private static double? Exposure()
    {
        if (!File.Exists("/usr/bin/systemd-analyze"))
        {
            return null;
        }

        using var process = Process.Start(
            new ProcessStartInfo("/usr/bin/systemd-analyze", ["security", "--offline=true", "--no-pager", Unit])
            {
                UseShellExecute = false,
                RedirectStandardOutput = true,
                RedirectStandardError = true,
            }
        )!;
        var said = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        return Level().Match(said) is { Success: true } match ? double.Parse(match.Groups["n"].Value, CultureInfo.InvariantCulture) : null;
    }

    [GeneratedRegex("exposure level for .*: (?<n>[0-9.]+) ", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex Level();
}
