namespace Yuntak.Core.Arranging;

/// <summary>How far a search is.</summary>
/// <param name="Doing">What it is at, in words.</param>
/// <param name="Value">The best that was found of the goal it is at; null before the first.</param>
/// <param name="Bound">What nothing can be better than, as far as is known.</param>
/// <param name="Seconds">How long it has searched.</param>
public sealed record ArrangeProgress(string Doing, double? Value, double? Bound, double Seconds);
