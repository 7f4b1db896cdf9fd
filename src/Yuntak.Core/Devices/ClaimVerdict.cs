using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Devices;

/// <summary>What becomes of a claim by one way on one device.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Need">What it needs.</param>
/// <param name="Device">The device; null when none would do.</param>
/// <param name="Way">The way; null when none would do.</param>
/// <param name="Answer">Whether it can be met.</param>
/// <param name="AlsoMoves">What goes along: addresses of functions and paths of USB ports.</param>
/// <param name="Pins">Memory that can no longer shrink or be promised twice.</param>
/// <param name="Reasons">The chain of reasons, one plain sentence each.</param>
public sealed record ClaimVerdict(
    Guest Guest,
    DeviceNeed Need,
    string? Device,
    ClaimWay? Way,
    ClaimAnswer Answer,
    IReadOnlyList<string> AlsoMoves,
    ByteSize Pins,
    IReadOnlyList<string> Reasons
);
