using Yuntak.Core.Labs;

namespace Yuntak.Core.Rehearsals;

/// <summary>When a guest runs during a rehearsal, in minutes from the beginning.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Runs">The times, in order; what lies between two of them is somebody waiting.</param>
/// <param name="Ends">When it is taken off its host for good; null when it stays.</param>
public sealed record Lane(GuestId Guest, IReadOnlyList<(int From, int To)> Runs, int? Ends);
