using Yuntak.Core.Labs;

namespace Yuntak.Core.Bench;

/// <summary>What putting a guest on a host would do to that host.</summary>
/// <param name="Guest">The guest, placed on the host.</param>
/// <param name="After">The host with the guest on it.</param>
/// <param name="Limits">What keeps it out; empty when it can go there.</param>
public sealed record FitAnswer(Guest Guest, HostAssessment After, IReadOnlyList<FitLimit> Limits)
{
    /// <summary>Whether the guest can go there.</summary>
    public bool CanGo => Limits.Count == 0;

    /// <summary>The verdict: over when something keeps it out, else that of the host with the guest on it.</summary>
    public Fit Fit => CanGo ? After.Fit : Fit.Over;
}
