using Yuntak.Core.Schedules;

namespace Yuntak.Core.Keeping;

/// <summary>Moves times along a night: what is after midnight belongs to the night before.</summary>
internal static class NightTimes
{
    private static readonly TimeOnly Noon = new(12, 0);
    private const int Week = 7;

    /// <summary>The nights something begins in, each by the day of the week it begins on; all seven when it is every night.</summary>
    public static IReadOnlySet<DayOfWeek> Nights(CopyTimes times) =>
        times
            .Times.SelectMany(t =>
                Enumerable
                    .Range(0, Week)
                    .Select(d => (DayOfWeek)d)
                    .Where(d => times.Days.Count == 0 || times.Days.Contains(t < Noon ? Next(d) : d))
            )
            .ToHashSet();

    /// <summary>The same nights, at another time.</summary>
    public static CopyTimes At(CopyTimes times, TimeOnly time) =>
        new(times.Days.Count == 0 ? [] : [.. Nights(times).Select(d => time < Noon ? Next(d) : d).Order()], [time]);

    /// <summary>Minutes since noon.</summary>
    public static int SinceNoon(TimeOnly time) => (int)(time - Noon).TotalMinutes;

    /// <summary>The time so many minutes after noon.</summary>
    public static TimeOnly AfterNoon(int minutes) => Noon.AddMinutes(minutes);

    private static DayOfWeek Next(DayOfWeek day) => (DayOfWeek)(((int)day + 1) % Week);
}
