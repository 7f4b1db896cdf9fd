namespace Yuntak.Formats.Intake;

/// <summary>What was not run on a host is a hint and not a fault: it says which of Debian's packages brings a tool, or what else would make it run.</summary>
internal static class MissingTools
{
    private static readonly Dictionary<string, string> Packages = new(StringComparer.Ordinal)
    {
        ["lspci"] = "pciutils",
        ["lsusb"] = "usbutils",
        ["dmidecode"] = "dmidecode",
        ["smartctl"] = "smartmontools",
        ["sensors"] = "lm-sensors",
        ["ip"] = "iproute2",
        ["ss"] = "iproute2",
        ["lsblk"] = "util-linux",
        ["lscpu"] = "util-linux",
        ["findmnt"] = "util-linux",
        ["gzip"] = "gzip",
    };

    /// <summary>The hint for a line of the script about what it did not run.</summary>
    /// <param name="said">The line without its beginning.</param>
    public static string Hint(string said)
    {
        var tool = said.Split(' ', 2)[0];
        return said.EndsWith("is not installed", StringComparison.Ordinal) && Packages.TryGetValue(tool, out var package)
                ? $"{said}; Debian's package {package} brings it"
            : said.EndsWith("needs root", StringComparison.Ordinal) ? $"{said}; run the script with sudo to read it too"
            : said;
    }
}
