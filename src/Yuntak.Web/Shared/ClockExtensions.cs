namespace Yuntak.Web.Shared;

/// <summary>Asks the clock.</summary>
internal static class ClockExtensions
{
    /// <summary>The day it is here.</summary>
    public static DateOnly Today(this TimeProvider clock) => DateOnly.FromDateTime(clock.GetLocalNow().DateTime);
}
