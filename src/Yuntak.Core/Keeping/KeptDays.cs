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
    public static IEnumerable<(DateOnly Day, IReadOnlyList<DateTime> Left)> Of(
        CopyTimes times,
        RetentionRule? rule,
        RetentionSchool school,
        DateOnly from,
        DateOnly until
    )
    {
        List<DateTime> left = [];
        var coming = times.Between(from, until).GroupBy(DateOnly.FromDateTime).ToDictionary(g => g.Key, g => g.ToList());
        for (var day = from; day <= until; day = day.AddDays(1))
        {
            if (coming.TryGetValue(day, out var fresh))
            {
                left.AddRange(fresh);
                if (rule is not null)
                {
                    left = [.. Retention.Left(rule, school, left).Select(c => c.At).Reverse()];
                }
            }

            yield return (day, [.. Enumerable.Reverse(left)]);
        }
    }

    /// <summary>The copies that are left on a day, where copies were taken since a day.</summary>
    public static IReadOnlyList<DateTime> On(CopyTimes times, RetentionRule? rule, RetentionSchool school, DateOnly from, DateOnly until) =>
        Of(times, rule, school, from, until).Select(d => d.Left).LastOrDefault() ?? [];

    /// <summary>The newest copy from before something happened: what a file that was deleted then comes back from; null when none is left.</summary>
    public static DateTime? Before(IReadOnlyList<DateTime> left, DateTime happened) =>
        left.Where(c => c <= happened).Select(c => (DateTime?)c).Max();
}
