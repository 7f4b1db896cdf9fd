using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
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
/// <param name="Reasons">The chain of reasons, one plain sentence each, what speaks loudest first.</param>
/// <param name="Costs">What the way itself costs, whatever the device: what is tied, pinned or must stay where it is.</param>
public sealed record ClaimVerdict(
    Guest Guest,
    DeviceNeed Need,
    string? Device,
    ClaimWay? Way,
    ClaimAnswer Answer,
    IReadOnlyList<string> AlsoMoves,
    ByteSize Pins,
    IReadOnlyList<string> Reasons,
    IReadOnlyList<string> Costs
)
{
    /// <summary>The claim it is about.</summary>
    public AskedClaim? Asked { get; init; }

    /// <summary>The host it is about.</summary>
    public HostId Host { get; init; }

    /// <summary>What it comes to grief on, or is to be watched for.</summary>
    internal IReadOnlySet<ClaimTrouble> Troubles { get; init; } = new HashSet<ClaimTrouble>();

    /// <summary>Whether it can be met, with or without something going along.</summary>
    public bool CanBe => Answer != ClaimAnswer.Impossible;
}
