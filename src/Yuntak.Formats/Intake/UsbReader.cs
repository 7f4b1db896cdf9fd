using System.Text.RegularExpressions;
using Yuntak.Core.Base;
using Yuntak.Core.Kit;

namespace Yuntak.Formats.Intake;

/// <summary>Reads <c>lsusb</c> and <c>lsusb -t</c>. The tree has the ports, the list has the names; they meet at bus and device number.</summary>
internal static partial class UsbReader
{
    private const int Indent = 4;

    /// <summary>Whether a line is one of the list.</summary>
    public static bool IsListLine(string line) => ListLine().IsMatch(line);

    public static void ReadList(RawPart part, UsbDraft draft, PartLog log)
    {
        var read = 0;
        foreach (var (line, _) in part.Lines())
        {
            var match = ListLine().Match(line);
            if (
                match.Success
                && draft.AddListed(
                    int.Parse(match.Groups["bus"].Value),
                    int.Parse(match.Groups["dev"].Value),
                    match.Groups["id"].Value.ToLowerInvariant(),
                    Names.Clean(match.Groups["name"].Value)
                )
            )
            {
                read++;
            }
        }

        log.Add(KitParts.Usb, read, part.Line);
    }

    public static void ReadTree(RawPart part, UsbDraft draft, PartLog log)
    {
        List<string> problems = [];
        var read = 0;
        var bus = 0;
        List<string> path = [];
        (int Bus, int Dev) last = default;
        foreach (var (line, number) in part.Lines())
        {
            if (RootLine().Match(line) is { Success: true } root)
            {
                bus = int.Parse(root.Groups["bus"].Value);
                draft.AddBus(
                    bus,
                    ports: int.TryParse(root.Groups["ports"].Value, out var ports) ? ports : null,
                    speed: Speed(root.Groups["speed"].Value)
                );
                last = default;
                path.Clear();
                read++;
            }
            else if (BranchLine().Match(line) is { Success: true } branch && bus > 0)
            {
                var depth = Math.Max(0, (branch.Groups["indent"].Length / Indent) - 1);
                if (depth > path.Count)
                {
                    problems.Add($"line {number}: the branch above this one is missing, so its port is not known");
                    continue;
                }

                path.RemoveRange(depth, path.Count - depth);
                path.Add(int.Parse(branch.Groups["port"].Value).ToString());
                last = (bus, int.Parse(branch.Groups["dev"].Value));
                var hub = branch.Groups["class"].Value.Trim().Equals("hub", StringComparison.OrdinalIgnoreCase);
                read += draft.AddPort(last.Bus, last.Dev, $"{bus}-{string.Join('.', path)}", hub) ? 1 : 0;
            }
            else if (last.Bus > 0 && IdLine().Match(line) is { Success: true } id)
            {
                draft.AddListed(last.Bus, last.Dev, id.Groups["id"].Value.ToLowerInvariant(), Names.Clean(id.Groups["name"].Value));
            }
        }

        log.Add(KitParts.Usb, read, part.Line, problems);
    }

    private static int? Speed(string text) =>
        double.TryParse(text, System.Globalization.CultureInfo.InvariantCulture, out var mbps) && mbps < 1e6 ? (int)mbps : null;

    [GeneratedRegex(
        @"^Bus (?<bus>[0-9]{1,3}) Device (?<dev>[0-9]{1,3}): ID (?<id>[0-9a-f]{4}:[0-9a-f]{4})(\s+(?<name>.*))?$",
        RegexOptions.ExplicitCapture | RegexOptions.IgnoreCase,
        1_000
    )]
    private static partial Regex ListLine();

    [GeneratedRegex(
        @"^/:\s+Bus (?<bus>[0-9]{1,3})\.Port [0-9]+: Dev [0-9]+, Class=root_hub, Driver=[^/,]*(/(?<ports>[0-9]{1,3})p)?(, (?<speed>[0-9.]+)M)?",
        RegexOptions.ExplicitCapture,
        1_000
    )]
    private static partial Regex RootLine();

    [GeneratedRegex(
        @"^(?<indent>[ |]*)\|__ Port (?<port>[0-9]{1,3}): Dev (?<dev>[0-9]{1,3}), If [0-9]+, Class=(?<class>[^,]*)",
        RegexOptions.ExplicitCapture,
        1_000
    )]
    private static partial Regex BranchLine();

    [GeneratedRegex(
        @"^\s+ID (?<id>[0-9a-f]{4}:[0-9a-f]{4})(\s+(?<name>.*))?$",
        RegexOptions.ExplicitCapture | RegexOptions.IgnoreCase,
        1_000
    )]
    private static partial Regex IdLine();
}
