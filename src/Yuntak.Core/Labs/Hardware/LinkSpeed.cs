using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>What really goes over the wire between two hosts.</summary>
/// <param name="From">The sender's address.</param>
/// <param name="To">The receiver's address.</param>
/// <param name="Goodput">What arrived.</param>
public sealed record LinkSpeed(string From, string To, DataRate Goodput);
