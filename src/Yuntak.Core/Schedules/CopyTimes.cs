using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Core.Schedules;

/// <summary>When copies are taken: at these times of day, on these days of the week.</summary>
/// <param name="Days">The days; every day when empty.</param>
/// <param name="Times">The times of day, the earliest first.</param>
public sealed record CopyTimes(ValueList<DayOfWeek> Days, ValueList<TimeOnly> Times)
{
    /// <summary>The first day that can be counted from.</summary>
    public static readonly DateOnly FirstDay = new(1970, 1, 1);

    /// <summary>The last day that can be counted to.</summary>
    public static readonly DateOnly LastDay = new(2199, 12, 31);

    /// <summary>The most copies that are counted at once.</summary>
    public const int MostCopies = 1_000_000;

    /// <summary>The most times of a day.</summary>
    public const int MostTimes = 96;

    /// <summary>Reads <c>22:30</c>, <c>sun 01:00</c> or <c>mon,thu 06:00,18:00</c>.</summary>
    /// <exception cref="Refused">It cannot be read.</exception>
    public static CopyTimes Parse(string text)
    {
        var parts = text.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var (days, times) = parts switch
        {
            [var only] => ("", only),
            [var some, var at] => (some, at),
            _ => throw NotRead(text),
        };
        List<DayOfWeek> which =
        [
            .. days.Split(',', StringSplitOptions.RemoveEmptyEntries)
                .Select(d => ScheduleWords.Days.TryRead(d.ToLowerInvariant(), out var day) ? day : throw NotRead(text))
                .Distinct()
                .Order(),
        ];
        List<TimeOnly> when =
        [
            .. times
                .Split(',', StringSplitOptions.RemoveEmptyEntries)
                .Select(t =>
                    TimeOnly.TryParseExact(t, "HH:mm", CultureInfo.InvariantCulture, DateTimeStyles.None, out var time)
                        ? time
                        : throw NotRead(text)
                )
                .Distinct()
                .Order(),
        ];
        return when.Count is > 0 and <= MostTimes ? new CopyTimes([.. which], [.. when]) : throw NotRead(text);
    }

    /// <summary>Every copy from a day to a day, both included, the oldest first.</summary>
    /// <exception cref="Refused">The days cannot be counted over, or there would be too many.</exception>
    public IEnumerable<DateTime> Between(DateOnly from, DateOnly until)
    {
        foreach (var day in new[] { from, until })
        {
            if (day < FirstDay || day > LastDay)
            {
                throw new Refused($"Days are counted from {FirstDay:yyyy-MM-dd} to {LastDay:yyyy-MM-dd}, not {day:yyyy-MM-dd}.");
            }
        }

        if (until < from)
        {
            throw new Refused($"The last day, {until:yyyy-MM-dd}, is before the first, {from:yyyy-MM-dd}.");
        }

        var most = (until.DayNumber - from.DayNumber + 1L) * Times.Count;
        return most > MostCopies
            ? throw new Refused(
                $"That would be {Numbers.Exact(most)} copies; {Numbers.Exact(MostCopies)} are counted at once. Begin later."
            )
            : Enumerable
                .Range(from.DayNumber, until.DayNumber - from.DayNumber + 1)
                .Select(DateOnly.FromDayNumber)
                .Where(d => Days.Count == 0 || Days.Contains(d.DayOfWeek))
                .SelectMany(d => Times.Select(t => d.ToDateTime(t)));
    }

    /// <summary>The day from which copies are counted so that a rule has all it could keep on a day, as far as days can be counted.</summary>
    /// <param name="rule">The rule.</param>
    /// <param name="until">The day.</param>
    public DateOnly Enough(RetentionRule rule, DateOnly until)
    {
        // Between two copies lies a week at most, and a count counts periods that have one.
        var gap = Days.Count == 0 ? 1 : 7;
        var days =
            400L + ((rule.Last + rule.Hourly + (long)rule.Daily) * gap) + (rule.Weekly * 7L) + (rule.Monthly * 31L) + (rule.Yearly * 366L);
        var first = (long)until.DayNumber - Math.Min(days, MostCopies / Times.Count - 1);
        // A day that cannot be counted to is said by whoever counts.
        return DateOnly.FromDayNumber((int)Math.Min(until.DayNumber, Math.Max(first, FirstDay.DayNumber)));
    }

    /// <summary>The longest time between the beginnings of two copies that follow each other, in hours by the clock on the wall.</summary>
    public double LongestGapHours
    {
        get
        {
            List<double> week =
            [
                .. Enumerable
                    .Range(0, 7)
                    .Where(d => Days.Count == 0 || Days.Contains((DayOfWeek)d))
                    .SelectMany(d => Times.Select(t => (d * 24) + t.ToTimeSpan().TotalHours)),
            ];
            return week.Select((at, n) => n + 1 < week.Count ? week[n + 1] - at : week[0] + HoursPerWeek - at).Max();
        }
    }

    /// <summary>How many copies begin in a week.</summary>
    public int PerWeek => (Days.Count == 0 ? 7 : Days.Count) * Times.Count;

    /// <summary>Days from one to the next, on average.</summary>
    public double EveryDays => 7.0 / PerWeek;

    /// <summary>As it is read: «mon,thu 06:00,18:00».</summary>
    public override string ToString()
    {
        var at = string.Join(',', Times.Select(t => t.ToString("HH:mm", CultureInfo.InvariantCulture)));
        return Days.Count == 0 ? at : $"{string.Join(',', Days.Select(ScheduleWords.Days.Word))} {at}";
    }

    /// <summary>In words: «every day at 22:30», «Sundays at 01:00».</summary>
    public string Words()
    {
        var at = string.Join(" and ", Times.Select(t => t.ToString("HH:mm", CultureInfo.InvariantCulture)));
        return $"{(Days.Count is 0 or 7 ? "every day" : string.Join(" and ", Days.Select(d => ScheduleWords.Days.Display(d) + "s")))} at {at}";
    }

    private const double HoursPerWeek = 168;

    private static Refused NotRead(string text) =>
        new($"«{Names.Short(text)}» is no time at which copies are taken. Say it like 22:30, sun 01:00 or mon,thu 06:00,18:00.");
}
