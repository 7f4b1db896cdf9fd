namespace Yuntak.Core.Keeping;

/// <summary>A plan for the nights in which no two share a disk and all are done by a time; or why there is none.</summary>
/// <param name="Moves">What begins at another time than now.</param>
/// <param name="Why">Why there is no such plan; null when there is.</param>
/// <param name="Done">When the last is done in the longest night, by the clock on the wall.</param>
public sealed record NightPlan(IReadOnlyList<NightMove> Moves, string? Why, TimeOnly Done);
