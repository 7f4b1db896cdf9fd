using Yuntak.Core.Schedules;

namespace Yuntak.Core.Keeping;

/// <summary>
/// Copies that come one after the other, thinned by a rule of the overlapping school as they come. The newest of a period takes the place of the one before it, and
/// the oldest period goes where there is one too many: what each count holds follows from the copy that came last, so that a century costs no more than its copies.
/// </summary>
/// <param name="rule">The rule.</param>
internal sealed class OverlappingThinning(RetentionRule rule)
{
    private readonly List<(RetentionPeriod Period, int Most, LinkedList<(long Key, DateTime At, int Place)> Held)> counts =
    [
        .. Enum.GetValues<RetentionPeriod>()
            .Where(p => rule.Of(p) > 0)
            .Select(p => (p, rule.Of(p), new LinkedList<(long, DateTime, int)>())),
    ];

    private int came;

    /// <summary>A copy comes, later than all before it.</summary>
    public void Comes(DateTime at)
    {
        var place = came++;
        foreach (var (period, most, held) in counts)
        {
            var key = period.Of(at, place);
            if (held.Last?.Value.Key == key)
            {
                held.RemoveLast();
            }

            held.AddLast((key, at, place));
            if (held.Count > most)
            {
                held.RemoveFirst();
            }
        }
    }

    /// <summary>The copies that are left, the newest first.</summary>
    public IReadOnlyList<DateTime> Left() =>
        counts.Count == 1
            ? [.. counts[0].Held.Reverse().Select(c => c.At)]
            :
            [
                .. counts
                    .SelectMany(c => c.Held)
                    .Select(c => (c.At, c.Place))
                    .Distinct()
                    .OrderByDescending(c => c.At)
                    .ThenByDescending(c => c.Place)
                    .Select(c => c.At),
            ];
}
