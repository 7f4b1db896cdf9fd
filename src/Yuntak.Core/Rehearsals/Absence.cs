using Yuntak.Core.Labs;

namespace Yuntak.Core.Rehearsals;

/// <summary>A time in which a guest that served before does not.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="From">From when, in minutes from the beginning.</param>
/// <param name="To">Until when.</param>
public sealed record Absence(GuestId Guest, int From, int To);
