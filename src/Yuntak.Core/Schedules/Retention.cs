namespace Yuntak.Core.Schedules;

/// <summary>Which copies a rule leaves.</summary>
public static class Retention
{
    /// <summary>The copies that are left of those that were taken, the newest first.</summary>
    /// <param name="rule">The rule.</param>
    /// <param name="school">How its counts go together.</param>
    /// <param name="taken">When each copy was taken, by the clock on the wall, in any order; of two taken at the same moment the later in the list is the newer.</param>
    /// <param name="forGood">Whether a copy is kept for good: it stays, and neither counts nor covers a period.</param>
    public static IReadOnlyList<KeptCopy> Left(
        RetentionRule rule,
        RetentionSchool school,
        IEnumerable<DateTime> taken,
        Func<DateTime, bool>? forGood = null
    )
    {
        var newestFirst = taken
            .Select((at, place) => (At: at, Place: place))
            .OrderByDescending(c => c.At)
            .ThenByDescending(c => c.Place)
            .ToList();
        var good = newestFirst.Where(c => forGood?.Invoke(c.At) == true).Select(c => c.Place).ToHashSet();
        var mortal = newestFirst.Where(c => !good.Contains(c.Place)).ToList();
        Dictionary<int, List<RetentionPeriod>> kept = [];
        foreach (var period in Enum.GetValues<RetentionPeriod>().Where(p => rule.Of(p) > 0))
        {
            var covered =
                school == RetentionSchool.Stacked
                    ? mortal.Where(c => kept.ContainsKey(c.Place)).Select(c => period.Of(c.At, c.Place)).ToHashSet()
                    : [];
            // The newest of each period that is left, as many as are to be kept.
            foreach (var copy in mortal.Where(c => covered.Add(period.Of(c.At, c.Place))).Take(rule.Of(period)))
            {
                if (!kept.TryGetValue(copy.Place, out var periods))
                {
                    kept.Add(copy.Place, periods = []);
                }

                periods.Add(period);
            }
        }

        return
        [
            .. newestFirst
                .Where(c => kept.ContainsKey(c.Place) || good.Contains(c.Place))
                .Select(c => new KeptCopy(c.At, [.. kept.GetValueOrDefault(c.Place) ?? []], good.Contains(c.Place))),
        ];
    }
}
