using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>How much room the copies of one job take in a store, by which of them are kept.</summary>
internal sealed class ArrivalRoom
{
    private readonly List<CopySegment> changing;
    private readonly ByteSize whole;
    private readonly ByteSize wholeADay;
    private readonly ByteSize once;
    private readonly ByteSize onceADay;

    // Copies lie a day, a week or a month apart, hardly any other way.
    private readonly Dictionary<TimeSpan, ByteSize> between = [];

    /// <param name="arrival">What comes into the store.</param>
    public ArrivalRoom(Arrival arrival)
    {
        Arrival = arrival;
        var each = arrival.Job.Segments.ToLookup(arrival.IsWhole);
        (whole, wholeADay) = Sum(each[true]);
        (once, onceADay) = Sum(each[false]);
        changing = [.. each[false]];
    }

    /// <summary>What comes into the store.</summary>
    public Arrival Arrival { get; }

    /// <summary>What copies take: each whole one, or one and what changed from each to the next.</summary>
    /// <param name="left">When those that are kept were taken, the newest first.</param>
    /// <param name="days">For how many days the data has grown.</param>
    public ByteSize Of(IReadOnlyList<DateTime> left, int days)
    {
        if (left.Count == 0)
        {
            return ByteSize.Zero;
        }

        var sum = (left.Count * (whole + (wholeADay * days))) + once + (onceADay * days);
        for (var n = 1; n < left.Count; n++)
        {
            sum += Between(left[n - 1] - left[n]);
        }

        return sum;
    }

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
