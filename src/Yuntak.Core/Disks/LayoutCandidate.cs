namespace Yuntak.Core.Disks;

/// <summary>One way to join disks, set beside others.</summary>
/// <param name="Plan">The way.</param>
/// <param name="Cost">What its room costs; null without a price.</param>
/// <param name="Best">Whether no other way of its family has more room at no more risk, or less risk with no less room.</param>
/// <param name="Recommended">Whether it is the one recommended.</param>
public sealed record LayoutCandidate(PoolPlan Plan, PoolCost? Cost = null, bool Best = false, bool Recommended = false);
