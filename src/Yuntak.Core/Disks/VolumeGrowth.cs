using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>How one volume grows: so much a month, or a share a year, or both.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Now">What is in it now.</param>
/// <param name="PerMonth">What comes each month.</param>
/// <param name="ShareAYear">The share it grows by each year: 0.2 is a fifth.</param>
public sealed record VolumeGrowth(string Name, ByteSize Now, ByteSize PerMonth = default, double ShareAYear = 0)
{
    private const double MonthsPerYear = 12;

    /// <summary>What is in it after some years, growing <paramref name="scale"/> times as quickly as expected.</summary>
    public ByteSize After(double years, double scale = 1) =>
        ByteSize.Min(
            MostShown,
            (Now * Math.Min(Math.Pow(1 + (ShareAYear * scale), years), MostTimes)) + (PerMonth * (years * MonthsPerYear * scale))
        );

    private const double MostTimes = 1e3;
    private static readonly ByteSize MostShown = new(1L << 60);
}
