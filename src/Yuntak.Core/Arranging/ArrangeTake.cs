using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Arranging;

/// <summary>One part of an arrangement that is accepted.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Place">Where it goes; null to take it off its host.</param>
/// <param name="Kind">How it is packaged there.</param>
public sealed record ArrangeTake(GuestId Guest, Placement? Place, GuestKind Kind);
