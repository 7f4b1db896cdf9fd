using System.Globalization;

namespace Yuntak.Core.Schedules;

/// <summary>Moments by the clock on the wall, as files write them.</summary>
public static class Moments
{
    private const string Form = "yyyy-MM-dd'T'HH:mm";

    private static readonly string[] Clocks = ["HH:mm", "HH:mm:ss"];

    /// <summary>Reads «2026-11-26T22:30», with a blank in the middle, with seconds, or a day alone; null for anything else, and for days that cannot be counted over.</summary>
    public static DateTime? Read(string? text)
    {
        var parts = (text ?? "").Trim().Split(['T', ' '], 2);
        if (
            !DateOnly.TryParseExact(parts[0], "O", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day)
            || day < CopyTimes.FirstDay
            || day > CopyTimes.LastDay
        )
        {
            return null;
        }

        return parts.Length == 1 ? day.ToDateTime(default)
            : TimeOnly.TryParseExact(parts[1], Clocks, CultureInfo.InvariantCulture, DateTimeStyles.None, out var at)
                ? day.ToDateTime(new TimeOnly(at.Hour, at.Minute))
            : null;
    }

    /// <summary>A moment as files write it.</summary>
    public static string Write(DateTime at) => at.ToString(Form, CultureInfo.InvariantCulture);
}
