using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>How much room the copies of the jobs of one plan take in a store, by which of them are kept.</summary>
internal sealed class ArrivalRoom
{
    private readonly List<CopySegment> changing;
    private readonly ByteSize whole;
    private readonly ByteSize wholeADay;
    private readonly ByteSize once;
    private readonly ByteSize onceADay;

    // Copies lie a day, a week or a month apart, hardly any other way.
    private readonly Dictionary<TimeSpan, ByteSize> between = [];

    /// <param name="arrivals">What comes into the store by one plan; at least one.</param>
    private ArrivalRoom(IReadOnlyList<Arrival> arrivals)
    {
        var each = arrivals
            .SelectMany(a => a.Job.Segments.Select(s => (Segment: s, Whole: a.IsWhole(s))))
            .ToLookup(s => s.Whole, s => s.Segment);
        (Times, Keep, School) = (Daily(arrivals[0].Times), arrivals[0].Keep, arrivals[0].School);
        (whole, wholeADay) = Sum(each[true]);
        (once, onceADay) = Sum(each[false]);
        changing = [.. each[false]];
    }

    /// <summary>What comes into a store, put together where it is taken and kept alike: its copies are left on the same days then.</summary>
    public static List<ArrivalRoom> Of(IEnumerable<Arrival> arrivals) =>
        [.. arrivals.GroupBy(a => (Daily(a.Times).ToString(), a.Keep?.ToString(), a.School)).Select(alike => new ArrivalRoom([.. alike]))];

    /// <summary>Of a plan that copies once a day the hour changes neither which days are kept nor a gap between them: all such plans are alike.</summary>
    private static CopyTimes Daily(CopyTimes times) => times.Times.Count == 1 ? times with { Times = [Noon] } : times;

    private static readonly TimeOnly Noon = new(12, 0);

    /// <summary>When copies are taken; where that is once a day, the day.</summary>
    public CopyTimes Times { get; }

    /// <summary>What is kept; null for everything.</summary>
    public RetentionRule? Keep { get; }

    /// <summary>How its counts go together.</summary>
    public RetentionSchool School { get; }

    /// <summary>What copies take that lie so far apart.</summary>
    /// <param name="gaps">From each copy to the one before it, and something before the oldest; empty for none.</param>
    /// <param name="days">For how many days the data has grown.</param>
    public ByteSize Of(IReadOnlyList<TimeSpan> gaps, int days)
    {
        if (gaps.Count == 0)
        {
            return ByteSize.Zero;
        }

        var sum = (gaps.Count * (whole + (wholeADay * days))) + once + (onceADay * days);
        for (var n = 0; n < gaps.Count - 1; n++)
        {
            sum += Between(gaps[n]);
        }

        return sum;
    }

    /// <summary>What copies take: each whole one, or one and what changed from each to the next.</summary>
    /// <param name="left">When those that are kept were taken, the newest first.</param>
    /// <param name="days">For how many days the data has grown.</param>
    public ByteSize Of(IReadOnlyList<DateTime> left, int days) => Of(KeptDays.Gaps(left), days);

    private ByteSize Between(TimeSpan gap)
    {
        if (!between.TryGetValue(gap, out var changed))
        {
            between[gap] = changed = changing.Aggregate(ByteSize.Zero, (sum, s) => sum + s.Changed(gap.TotalDays));
        }

        return changed;
    }

    private static (ByteSize Size, ByteSize ADay) Sum(IEnumerable<CopySegment> segments) =>
        segments.Aggregate(
            (Size: ByteSize.Zero, ADay: ByteSize.Zero),
            (sum, s) =>
                (
                    sum.Size + s.Size,
                    s.Volume is { Part: VolumePart.Bulk, Guest: { } guest } ? sum.ADay + JobSums.Grows(guest, s.Size) : sum.ADay
                )
        );
}
