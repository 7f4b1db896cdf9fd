namespace Yuntak.Core.Labs;

/// <summary>A line of the readiness list that somebody has ticked.</summary>
/// <param name="Item">The line.</param>
/// <param name="On">The day.</param>
public sealed record ReadinessCheck(string Item, DateOnly On);
