using System.Globalization;

namespace Yuntak.Core.Schedules;

/// <summary>Which period a moment lies in.</summary>
internal static class RetentionPeriods
{
    /// <summary>A number that all moments of a period share and no other moment has. Weeks are those of ISO 8601: the last days of December may lie in week 1.</summary>
    /// <param name="period">The period.</param>
    /// <param name="at">The moment, by the clock on the wall.</param>
    /// <param name="place">The place of the copy among all, for those that are each a period of their own.</param>
    public static long Of(this RetentionPeriod period, DateTime at, int place) =>
        period switch
        {
            RetentionPeriod.Last => place,
            RetentionPeriod.Hourly => at.Ticks / TimeSpan.TicksPerHour,
            RetentionPeriod.Daily => at.Ticks / TimeSpan.TicksPerDay,
            RetentionPeriod.Weekly => (ISOWeek.GetYear(at) * 100) + ISOWeek.GetWeekOfYear(at),
            RetentionPeriod.Monthly => (at.Year * 12) + at.Month,
            RetentionPeriod.Yearly => at.Year,
        };
}
