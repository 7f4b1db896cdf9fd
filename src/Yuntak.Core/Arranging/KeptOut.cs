using Yuntak.Core.Labs;

namespace Yuntak.Core.Arranging;

/// <summary>Why a guest has no place on a host.</summary>
/// <param name="Host">The host.</param>
/// <param name="Limit">What keeps it out: the one thing that has to give, or all of them.</param>
/// <param name="SmallestChange">The smallest change that would let it in, with everybody else keeping a place.</param>
/// <param name="Proven">Whether a smaller one is proven not to do.</param>
public sealed record KeptOut(Host Host, string Limit, string SmallestChange, bool Proven);
