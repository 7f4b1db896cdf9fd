using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>A fixed address is not handed out to others.</summary>
internal sealed class AddressInRange : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.address-in-range",
            Severity.Mind,
            Station.Wires,
            Says: "An address that is set inside a guest is not among those handed out to whoever asks.",
            Because: "Sooner or later it is handed to somebody else too, and then both are gone now and then.",
            Source: new Source("RFC 2131, 2.2; common practice")
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from network in lab.Wires.Networks
        where network.HandedOut is not null
        from held in network.Held
        where held is { How: AddressHow.Fixed, Address: not null } && network.HandedOut!.Contains(held.Address)
        let guest = WireFixes.GuestOf(lab, held.Who)
        select Info.On(
            WireFixes.SubjectOf(lab, held.Who),
            $"{held.Address} of {held.Who.Name} is also handed out to others",
            $"{network.Network.Name} hands out {network.Network.HandedOut}. Reserve it by hardware address, or take one outside{(network.NextFree is { } free ? $", such as {free}" : "")}.",
            () => guest is null ? [] : WireFixes.Next(network, guest)
        );
}
