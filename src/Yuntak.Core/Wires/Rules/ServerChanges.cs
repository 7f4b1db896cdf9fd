using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>What serves others keeps its address.</summary>
internal sealed class ServerChanges : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.server-changes",
            Severity.Mind,
            Station.Wires,
            Says: "A guest that serves somebody has an address that stays the same.",
            Because: "Links, apps and brokers point to it; after a change they point nowhere.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from sizing in lab.Guests
        where !sizing.IsThrowAway && lab.HostOf(sizing.Guest) is not null
        from leg in sizing.Guest.Interfaces
        where leg.Address is null && lab.Lab.Network(leg.Network) is { Purpose: not NetworkPurpose.Outside, Prefix: not null }
        let network = lab.Wires.Network(leg.Network)!
        select Info.On(
            Subject.Of(sizing.Guest),
            $"The address of {sizing.Guest.Name} on {leg.Network} may change",
            $"It gets whatever is free when it starts{(network.NextFree is { } free ? $"; {free} is free" : "")}. {(network.Network.Addresses == AddressSchool.Reserved ? $"Reserve one for {Macs.Of(sizing.Guest, leg)}." : "Set one inside.")}",
            () => WireFixes.Next(network, sizing.Guest)
        );
}
