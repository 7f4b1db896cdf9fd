using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices;

/// <summary>A claim of a guest, wherever it comes from.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Claim">What it claims.</param>
/// <param name="By">Where the claim comes from.</param>
public sealed record AskedClaim(Guest Guest, DeviceClaim Claim, AskedBy By)
{
    /// <summary>Which it is among those of its guest, from 0; what it is known by while the lab stays the same.</summary>
    public int Number { get; init; }
}
