using System.Text.Json;
using System.Text.RegularExpressions;
using Yuntak.Core.Kit;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>Reads <c>/proc/meminfo</c> and <c>lsmem -J -b</c>.</summary>
internal static partial class MemoryReader
{
    public static void ReadMeminfo(RawPart part, IntakeDraft draft)
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
            draft.Log.Add(KitParts.Memory, 0, part.Line, $"line {part.Line}: «MemTotal» has no number in kB that makes sense");
            return;
        }

        // The kernel writes «kB» and means KiB.
        draft.Memory = new ByteSize(kib * 1024);
        draft.Log.Add(KitParts.Memory, rows, part.Line);
    }

    public static void ReadLsmem(JsonElement root, int line, string? problem, IntakeDraft draft)
    {
        List<string> problems = problem is null ? [] : [problem];
        var sum = ByteSize.Zero;
        var ranges = 0;
        foreach (var row in root.Rows("memory"))
        {
            if (
                row.Size("size", out _) is { } size
                && row.Text("state") is (null or "online")
                && size.Bytes <= ByteSize.LargestEntered.Bytes - sum.Bytes
            )
            {
                sum += size;
                ranges++;
            }
        }

        if (ranges == 0)
        {
            problems.Add("memory: no range with a size; run it as lsmem -J -b");
        }

        draft.Installed = ranges == 0 ? draft.Installed : sum;
        draft.Log.Add(KitParts.Memory, ranges, line, problems);
    }

    [GeneratedRegex(@"^MemTotal:\s*(?<kib>[0-9]{1,18})\s*kB", RegexOptions.ExplicitCapture | RegexOptions.Multiline, 1_000)]
    private static partial Regex MemTotal();
}
