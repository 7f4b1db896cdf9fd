using System.Globalization;
using Yuntak.Core.Kit;

namespace Yuntak.Formats.Intake;

/// <summary>Reads the line of <c>collect.sh --speed</c>: seconds of user time, one number for each time it was tried. The reference core needs one second.</summary>
internal static class CoreSpeedReader
{
    private const string Start = "core speed, seconds:";

    /// <summary>Whether a line is it.</summary>
    public static bool Is(string line) => line.StartsWith(Start, StringComparison.Ordinal);

    public static void Read(RawPart part, IntakeDraft draft)
    {
        foreach (var (line, number) in part.Lines().Where(l => Is(l.Text)))
        {
            var seconds = line[Start.Length..]
                .Split(' ', StringSplitOptions.RemoveEmptyEntries)
                .Select(w => double.TryParse(w, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var s) ? s : 0)
                .Where(s => s is > 0.05 and < 100)
                .ToList();
            if (seconds.Count == 0)
            {
                draft.Log.Add(KitParts.CoreSpeed, 0, number, $"line {number}: no seconds that can be read");
                continue;
            }

            draft.CoreSpeed = Math.Round(1 / seconds.Min(), 3);
            draft.Log.Add(KitParts.CoreSpeed, seconds.Count, number);
        }
    }
}
