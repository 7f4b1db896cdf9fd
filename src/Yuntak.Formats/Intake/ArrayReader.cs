using System.Text.Json;
using System.Text.RegularExpressions;
using Yuntak.Core.Base;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.Intake;

/// <summary>Reads arrays that stand: <c>/proc/mdstat</c>, and the volume groups of <c>pvs</c>, <c>vgs</c> and <c>lvs --reportformat json</c>.</summary>
internal static partial class ArrayReader
{
    /// <summary>Whether a line begins /proc/mdstat.</summary>
    public static bool Begins(string line) => line.StartsWith("Personalities :", StringComparison.Ordinal);

    /// <summary>Whether a line belongs to /proc/mdstat after its first.</summary>
    public static bool GoesOn(string line) =>
        string.IsNullOrWhiteSpace(line)
        || line[0] == ' '
        || line.StartsWith("unused devices", StringComparison.Ordinal)
        || ArrayLine().IsMatch(line);

    /// <summary>Whether an object is a report of volume groups.</summary>
    public static bool Is(JsonElement root) => root.TryGetProperty("report", out var report) && report.ValueKind == JsonValueKind.Array;

    public static void ReadMdstat(RawPart part, IntakeDraft draft)
    {
        var read = 0;
        FoundArray? array = null;
        foreach (var (line, _) in part.Lines())
        {
            var match = ArrayLine().Match(line);
            if (match.Success)
            {
                Keep(ref array, draft, ref read);
                array = FoundArray.LayoutOf(match.Groups["level"].Value) is { } layout
                    ? new FoundArray(
                        match.Groups["name"].Value,
                        layout,
                        [
                            .. PartOf()
                                .Matches(match.Groups["parts"].Value)
                                .Where(m => !m.Groups["spare"].Success)
                                .Take(240)
                                .Select(m => m.Groups["name"].Value),
                        ],
                        0
                    )
                    : null;
            }
            else if (array is not null && State().Match(line) is { Success: true } state)
            {
                array = array with { Missing = state.Groups["state"].Value.Count(c => c == '_') };
            }
        }

        Keep(ref array, draft, ref read);
        draft.Log.Add(KitParts.Arrays, read, part.Line);
    }

    public static void ReadReport(JsonElement root, int line, string? problem, IntakeDraft draft)
    {
        var read = 0;
        foreach (var report in root.Rows("report"))
        {
            foreach (var row in report.Rows("pv"))
            {
                if (row.Text("vg_name") is { } group && row.Text("pv_name") is { } volume && draft.Found.Groups.Count < 100)
                {
                    var known = draft.Found.Groups.TryGetValue(group, out var volumes) ? volumes : draft.Found.Groups[group] = [];
                    if (!known.Contains(volume) && known.Count < 240)
                    {
                        known.Add(volume);
                        read++;
                    }
                }
            }

            read += report.Rows("vg").Count();
            foreach (var row in report.Rows("lv"))
            {
                read++;
                if (row.Text("vg_name") is { } group && FoundArray.LayoutOf(row.Text("segtype")) is { } layout)
                {
                    draft.Found.GroupLayouts.TryAdd(group, layout);
                }
            }
        }

        draft.Log.Add(KitParts.Arrays, read, line, problem is null ? [] : [problem]);
    }

    private static void Keep(ref FoundArray? array, IntakeDraft draft, ref int read)
    {
        if (array is not null && draft.Found.Arrays.Add(array))
        {
            read++;
        }

        array = null;
    }

    [GeneratedRegex(
        @"^(?<name>md[A-Za-z0-9_]{1,30}) : \S+( \(\S+\))? (?<level>[a-z0-9]+) (?<parts>.*)$",
        RegexOptions.ExplicitCapture,
        1_000
    )]
    private static partial Regex ArrayLine();

    [GeneratedRegex(@"(?<name>[a-z][a-z0-9]*)\[[0-9]+\](?<spare>\([SF]\))?", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex PartOf();

    [GeneratedRegex(@"\[(?<state>[U_]+)\]", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex State();
}
