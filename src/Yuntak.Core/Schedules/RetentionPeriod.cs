namespace Yuntak.Core.Schedules;

/// <summary>The periods a retention counts in, from the shortest to the longest.</summary>
public enum RetentionPeriod
{
    /// <summary>Every copy is a period of its own.</summary>
    Last,

    /// <summary>An hour by the clock on the wall.</summary>
    Hourly,

    /// <summary>A day.</summary>
    Daily,

    /// <summary>A week from Monday to Sunday.</summary>
    Weekly,

    /// <summary>A month.</summary>
    Monthly,

    /// <summary>A year.</summary>
    Yearly,
}
