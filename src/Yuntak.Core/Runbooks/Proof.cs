using Yuntak.Core.Simulation;

namespace Yuntak.Core.Runbooks;

/// <summary>One thing the check of a step looks at, in words for the person and as simulated hosts can tell.</summary>
/// <param name="Words">What to look at, a sentence; empty where the check of the step says it in its own words.</param>
/// <param name="Holds">Whether it is so.</param>
internal sealed record Proof(string Words, Func<SimHouse, bool> Holds);
