using Yuntak.Core.Base;
using Yuntak.Core.Schedules;

namespace Yuntak.Core.Keeping;

/// <summary>Which copies are left night by night: as a store does it, each day's copies come and what the rule no longer holds goes; what is gone does not come back.</summary>
public static class KeptDays
{
    /// <summary>The copies that are left at the end of each day from a day to a day, the newest first.</summary>
    /// <param name="times">When copies are taken.</param>
    /// <param name="rule">What is kept; null for everything.</param>
    /// <param name="school">How its counts go together.</param>
    /// <param name="from">The day of the first copy.</param>
    /// <param name="until">The last day.</param>
    /// <param name="shown">The first day whose copies are asked for; all when left out.</param>
    public static IEnumerable<(DateOnly Day, IReadOnlyList<DateTime> Left)> Of(
        CopyTimes times,
        RetentionRule? rule,
        RetentionSchool school,
        DateOnly from,
        DateOnly until,
        DateOnly? shown = null
    )
    {
        var overlapping = rule is not null && school == RetentionSchool.Overlapping ? new OverlappingThinning(rule) : null;
        List<DateTime> left = [];
        var coming = times.Between(from, until).GroupBy(DateOnly.FromDateTime).ToDictionary(g => g.Key, g => g.ToList());
        for (var day = from; day <= until; day = day.AddDays(1))
        {
            Patience.Check();
            if (coming.TryGetValue(day, out var fresh) && overlapping is not null)
            {
                fresh.ForEach(overlapping.Comes);
            }
            else if (fresh is not null)
            {
                left.AddRange(fresh);
                left = rule is null ? left : [.. Retention.Left(rule, school, left).Select(c => c.At).Reverse()];
            }

            if (day >= (shown ?? from))
            {
                yield return (day, overlapping?.Left() ?? [.. Enumerable.Reverse(left)]);
            }
        }
    }

    /// <summary>What is left day by day for a year from a day on; worked out once for each plan, since it changes with no other edit.</summary>
    internal static IReadOnlyList<IReadOnlyList<DateTime>> Year(
        CopyTimes times,
        RetentionRule? rule,
        RetentionSchool school,
        DateOnly from
    ) =>
        Years.Of(
            (times.ToString(), rule?.ToString(), school, from),
            () => [.. Of(times, rule, school, from, from.AddDays(StoreRoom.Days - 1)).Select(d => d.Left)]
        );

    private static readonly Remembered<(string, string?, RetentionSchool, DateOnly), IReadOnlyList<IReadOnlyList<DateTime>>> Years = new(
        MostYears
    );

    private const int MostYears = 200;

    /// <summary>What is left on a day once a rule has all it keeps, the newest first; of everything kept a year's copies.</summary>
    private static IReadOnlyList<DateTime> OnceSettled(CopyTimes times, RetentionRule? rule, RetentionSchool school, DateOnly on) =>
        rule is null
            ? [.. times.Between(on.AddDays(1 - StoreRoom.Days), on).Reverse()]
            : [.. Retention.Left(rule, school, times.Between(Settled(times, rule, on), on)).Select(c => c.At)];

    /// <summary>
    /// What is left on every day of four calendar years once a rule has all it keeps, as gaps between copies: all there is to know for how much room they take. Four years have every
    /// length of month and year, and the same ones are taken whatever day it is, so that a store is not too small on one day and large enough on the next. Worked out once for each plan.
    /// </summary>
    internal static IReadOnlyList<IReadOnlyList<TimeSpan>> Cycle(CopyTimes times, RetentionRule? rule, RetentionSchool school) =>
        Cycles.Of(
            (times.ToString(), rule?.ToString(), school),
            () =>
                rule is null || rule.AtMost * (long)CycleDays > MostEffort
                    ? [Gaps(OnceSettled(times, rule, school, CycleBegins.AddDays(CycleDays - 1)))]
                    :
                    [
                        .. Of(times, rule, school, Settled(times, rule, CycleBegins), CycleBegins.AddDays(CycleDays - 1), CycleBegins)
                            .Select(d => Gaps(d.Left)),
                    ]
        );

    private static readonly Remembered<(string, string?, RetentionSchool), IReadOnlyList<IReadOnlyList<TimeSpan>>> Cycles = new(MostCycles);

    private static readonly DateOnly CycleBegins = new(2026, 1, 1);
    private const int CycleDays = 1_461;
    private const int MostCycles = 128;

    /// <summary>From each copy to the one before it, and nothing before the oldest; empty where there is none.</summary>
    internal static List<TimeSpan> Gaps(IReadOnlyList<DateTime> left) =>
        [.. left.Select((at, n) => n + 1 < left.Count ? at - left[n + 1] : TimeSpan.Zero)];

    /// <summary>The day from which copies are counted so that a rule has all it keeps on a day; sooner than <see cref="CopyTimes.Enough"/>, since a rule is followed day by day.</summary>
    public static DateOnly Settled(CopyTimes times, RetentionRule rule, DateOnly until)
    {
        var gap = Math.Max(1, times.LongestGapHours / 24);
        var days = ((rule.Last + rule.Hourly + rule.Daily) * gap) + (rule.Weekly * 7) + (rule.Monthly * 31) + (rule.Yearly * 366) + Margin;
        return DateOnly.FromDayNumber((int)Math.Max(CopyTimes.FirstDay.DayNumber, until.DayNumber - Math.Min(days, MostDays)));
    }

    private const double Margin = 40;
    private const double MostDays = 20_000;

    /// <summary>The copies that are left on a day, where copies were taken since a day.</summary>
    public static IReadOnlyList<DateTime> On(CopyTimes times, RetentionRule? rule, RetentionSchool school, DateOnly from, DateOnly until) =>
        // Where the stacked school keeps very many, they are thinned once, at the end; night by night it would leave other days of a month or a year.
        rule is not null
        && school == RetentionSchool.Stacked
        && Effort(rule, from, until) > MostEffort
            ? [.. Retention.Left(rule, school, times.Between(from, until)).Select(c => c.At)]
            : Of(times, rule, school, from, until, until).Select(d => d.Left).LastOrDefault() ?? [];

    /// <summary>How many copies are looked at to follow a rule night by night.</summary>
    private static long Effort(RetentionRule rule, DateOnly from, DateOnly until) => rule.AtMost * (until.DayNumber - from.DayNumber);

    private const long MostEffort = 400_000;

    /// <summary>The newest copy from before something happened: what a file that was deleted then comes back from; null when none is left.</summary>
    public static DateTime? Before(IReadOnlyList<DateTime> left, DateTime happened) =>
        left.Where(c => c <= happened).Select(c => (DateTime?)c).Max();
}
