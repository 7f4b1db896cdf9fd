using Yuntak.Core.Labs;

namespace Yuntak.Core.Arranging;

/// <summary>A guest for which no place was found.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Stays">Whether it stays where it is, because it runs there; else it is on no host.</param>
/// <param name="Hosts">Why, host by host.</param>
public sealed record LeftOut(Guest Guest, bool Stays, IReadOnlyList<KeptOut> Hosts);
