namespace Yuntak.Core.Bench;

/// <summary>One thing that keeps a guest off a host.</summary>
/// <param name="Text">What it is, with the figures: «memory: 4.2 GiB wanted, 2.3 GiB spare».</param>
/// <param name="SmallestChange">The smallest change that would let it in: «+1.9 GiB memory on wren».</param>
public sealed record FitLimit(string Text, string SmallestChange);
