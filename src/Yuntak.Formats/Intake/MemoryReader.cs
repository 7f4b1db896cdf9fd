using System.Text.Json;
using System.Text.RegularExpressions;
using Yuntak.Core.Kit;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>Reads <c>/proc/meminfo</c> and <c>lsmem -J -b</c>.</summary>
internal static partial class MemoryReader
{
    private const string Part = "memory";

    public static (ByteSize? Memory, PartReading Reading) ReadMeminfo(RawPart part)
    {
        var rows = part.Text.Split('\n').Count(l => l.Contains(':', StringComparison.Ordinal));
        var match = MemTotal().Match(part.Text);
        if (
            !match.Success
            || !long.TryParse(match.Groups["kib"].Value, out var kib)
            || kib <= 0
            || kib > ByteSize.LargestEntered.Bytes / 1024
        )
        {
            return (null, new PartReading(Part, 0, [$"line {part.Line}: «MemTotal» has no number in kB that makes sense"]));
        }

        // The kernel writes «kB» and means KiB.
        return (new ByteSize(kib * 1024), new PartReading(Part, rows, []));
    }

    public static (ByteSize? Memory, PartReading Reading) ReadLsmem(JsonElement root, string? problem)
    {
        List<string> problems = problem is null ? [] : [problem];
        var sum = ByteSize.Zero;
        var ranges = 0;
        foreach (var row in root.Rows("memory"))
        {
            if (row.Size("size", out _) is { } size && row.Text("state") is (null or "online"))
            {
                sum += size;
                ranges++;
            }
        }

        if (ranges == 0)
        {
            problems.Add("memory: no range with a size; run it as lsmem -J -b");
        }

        return (ranges == 0 ? null : sum, new PartReading(Part, ranges, problems));
    }

    [GeneratedRegex(@"^MemTotal:\s*(?<kib>\d{1,18})\s*kB", RegexOptions.ExplicitCapture | RegexOptions.Multiline, 1_000)]
    private static partial Regex MemTotal();
}
