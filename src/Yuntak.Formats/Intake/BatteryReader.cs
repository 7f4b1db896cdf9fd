using System.Globalization;
using System.Text.RegularExpressions;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.Intake;

/// <summary>Reads the <c>key: value</c> lines of common battery-backup daemons, in either of their two ways of naming things.</summary>
internal static partial class BatteryReader
{
    /// <summary>Whether a line looks like one.</summary>
    public static bool Is(string line) => Line().IsMatch(line);

    public static void Read(RawPart part, IntakeDraft draft)
    {
        var state = draft.Battery ?? new BatteryState();
        var read = 0;
        foreach (var (line, _) in part.Lines())
        {
            var match = Line().Match(line);
            if (
                match.Success
                && double.TryParse(
                    match.Groups["number"].Value,
                    NumberStyles.AllowDecimalPoint,
                    CultureInfo.InvariantCulture,
                    out var number
                )
            )
            {
                var next = With(state, match.Groups["key"].Value, number);
                read += next == state ? 0 : 1;
                state = next;
            }
        }

        draft.Battery = state == new BatteryState() ? draft.Battery : state;
        draft.Log.Add(
            KitParts.Battery,
            read,
            part.Line,
            read == 0 && draft.Battery is null ? [$"line {part.Line}: no charge, load or running time of a battery backup in it"] : []
        );
    }

    private static BatteryState With(BatteryState state, string key, double number) =>
        key switch
        {
            "battery.charge" or "BCHARGE" => state with { ChargePercent = number },
            "ups.load" or "LOADPCT" => state with { LoadPercent = number },
            "battery.runtime" => state with { RuntimeMinutes = Math.Round(number / 60, 1) },
            "TIMELEFT" => state with { RuntimeMinutes = number },
            "ups.realpower.nominal" or "NOMPOWER" => state with { Watts = number },
            _ => state,
        };

    [GeneratedRegex(
        @"^(?<key>(battery|ups|input|output|device|driver)\.[a-z.]+|STATUS|BCHARGE|LOADPCT|TIMELEFT|NOMPOWER|BATTV|LINEV|MODEL|UPSNAME|NOMBATTV)\s*:\s+(?<number>[0-9]{1,9}(\.[0-9]+)?)?",
        RegexOptions.ExplicitCapture,
        1_000
    )]
    private static partial Regex Line();
}
