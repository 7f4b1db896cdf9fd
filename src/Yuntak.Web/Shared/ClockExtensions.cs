namespace Yuntak.Web.Shared;

/// <summary>Asks the clock.</summary>
internal static class ClockExtensions
{
    /// <summary>A moment as people here write it: «26 Nov 14:02».</summary>
    /// <param name="moment">The moment, in universal time.</param>
    public static string Here(this TimeProvider clock, DateTime moment) =>
        TimeZoneInfo
            .ConvertTimeFromUtc(DateTime.SpecifyKind(moment, DateTimeKind.Utc), clock.LocalTimeZone)
            .ToString("d MMM HH:mm", System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>The day it is here.</summary>
    public static DateOnly Today(this TimeProvider clock) => DateOnly.FromDateTime(clock.GetLocalNow().DateTime);
}
