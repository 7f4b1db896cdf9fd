using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>How what lies in a pool grows, and when its lines are reached.</summary>
/// <param name="Volumes">What lies in it.</param>
public sealed record PoolGrowth(IReadOnlyList<VolumeGrowth> Volumes)
{
    private const double FarYears = 50;

    /// <summary>What lies in the pool after some years.</summary>
    /// <param name="years">From now.</param>
    /// <param name="scale">How much quicker than expected it grows: 1 is as expected.</param>
    public ByteSize After(double years, double scale = 1) => Volumes.Aggregate(ByteSize.Zero, (sum, v) => sum + v.After(years, scale));

    /// <summary>The day an amount is reached; null when it is not within 50 years. A line that is passed already is reached today.</summary>
    public DateOnly? Reaches(ByteSize line, DateOnly today, double scale = 1)
    {
        if (After(0, scale) >= line)
        {
            return today;
        }

        if (After(FarYears, scale) < line)
        {
            return null;
        }

        var (before, after) = (0.0, FarYears);
        // Growth never turns back, so halving finds the day.
        while ((after - before) * Duration.DaysPerYear > 0.5)
        {
            var middle = (before + after) / 2;
            (before, after) = After(middle, scale) >= line ? (before, middle) : (middle, after);
        }

        return today.AddDays((int)Math.Ceiling(after * Duration.DaysPerYear));
    }
}
