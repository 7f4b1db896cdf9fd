using Yuntak.Core.Schedules;

namespace Yuntak.Core.Keeping;

/// <summary>From what somebody wants to be able to do to a rule that lets them, and back.</summary>
public static class RetentionWish
{
    private const int DaysAWeek = 7;
    private const int MonthsTried = 12;

    /// <summary>Who wants to go back further does not want a copy of each month any more.</summary>
    private const int LongestByMonths = 5 * 365;

    private const int LongestByWeeks = 45;
    private const int MostKnown = 2_000;

    /// <summary>A rule that keeps more than so many copies is not followed day by day.</summary>
    private const int MostFollowed = 800;

    private const int MostDays = 4_000;

    /// <summary>Any year does; this one holds a short February and a week 53 before it.</summary>
    private static readonly DateOnly Last = new(2027, 12, 31);

    private static readonly Remembered<(string, string, RetentionSchool), (int Back, int Daily)> Known = new(MostKnown);

    /// <summary>
    /// The shortest rule that on every day of a year lets one go back as far as wished, with a copy of every day for as long as wished: days first, then weeks up to a month,
    /// then months, and years where it is more than five of them.
    /// </summary>
    /// <param name="times">When copies are taken.</param>
    /// <param name="school">How the counts of the rule go together.</param>
    /// <param name="backDays">How many days back the oldest copy is to be at least.</param>
    /// <param name="dailyDays">For how many days back there is to be a copy of every day on which one is taken.</param>
    public static RetentionRule Rule(CopyTimes times, RetentionSchool school, int backDays, int dailyDays)
    {
        var daily = Math.Max(1, dailyDays);
        if (times.Days.Count > 0)
        {
            // A rule counts days that have a copy.
            daily = Math.Max(1, (int)Math.Ceiling(daily * times.Days.Count / (double)DaysAWeek));
        }

        IEnumerable<RetentionRule> tries =
        [
            .. backDays <= dailyDays ? [new RetentionRule(Daily: daily)] : Array.Empty<RetentionRule>(),
            .. backDays <= LongestByWeeks ? Enumerable.Range(2, 8).Select(weeks => new RetentionRule(Daily: daily, Weekly: weeks)) : [],
            .. backDays <= LongestByMonths
                ? Enumerable
                    .Range(Math.Max(1, backDays / 31), MonthsTried)
                    .Select(months => new RetentionRule(Daily: daily, Weekly: 4, Monthly: months))
                : [],
        ];
        foreach (var rule in tries)
        {
            var (back, each) = Leaves(times, rule, school);
            if (back >= backDays && each >= Math.Min(dailyDays, back))
            {
                return rule;
            }
        }

        // On New Year's Day the newest year has one day, and the oldest that is left only its last.
        return new RetentionRule(Daily: daily, Weekly: 4, Monthly: 12, Yearly: ((backDays + 363) / 365) + 2);
    }

    /// <summary>What a rule leaves on its worst day of a year: how many days back the oldest copy is, and for how many days there is one of every day on which one is taken.</summary>
    public static (int Back, int Daily) Leaves(CopyTimes times, RetentionRule rule, RetentionSchool school)
    {
        // What is left by days does not hang on the hour.
        var usual =
            rule.Hourly > 0
                ? times
                : times with
                {
                    Times = [.. Enumerable.Range(0, times.Times.Count).Select(n => new TimeOnly(n / 60 % 24, n % 60))],
                };
        return Known.Of((usual.ToString(), rule.ToString(), school), () => Follow(usual, rule, school));
    }

    private static (int Back, int Daily) Follow(CopyTimes times, RetentionRule rule, RetentionSchool school)
    {
        if (rule.AtMost > MostFollowed)
        {
            return (int.MaxValue, rule.Daily);
        }

        var year = Last.AddDays(1 - StoreRoom.Days);
        var from = DateOnly.FromDayNumber(
            Math.Max(KeptDays.Settled(times, rule, Last).DayNumber - StoreRoom.Days, Last.DayNumber - MostDays)
        );
        var (back, daily) = (int.MaxValue, int.MaxValue);
        foreach (var (day, left) in KeptDays.Of(times, rule, school, from, Last, year))
        {
            if (left.Count == 0)
            {
                continue;
            }

            var days = left.Select(DateOnly.FromDateTime).ToHashSet();
            var oldest = day.DayNumber - DateOnly.FromDateTime(left[^1]).DayNumber;
            back = Math.Min(back, oldest);
            var each = 0;
            while (each <= oldest && (days.Contains(day.AddDays(-each)) || !IsDay(times, day.AddDays(-each))))
            {
                each++;
            }

            daily = Math.Min(daily, each);
        }

        return back == int.MaxValue ? (0, 0) : (back, daily);
    }

    private static bool IsDay(CopyTimes times, DateOnly day) => times.Days.Count == 0 || times.Days.Contains(day.DayOfWeek);
}
