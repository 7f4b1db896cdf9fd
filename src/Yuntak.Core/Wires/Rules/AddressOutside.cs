using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>An address lies in its network.</summary>
internal sealed class AddressOutside : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.address-outside",
            Severity.Stop,
            Station.Wires,
            Says: "An address lies in its network, and is neither the network's own nor the one for all.",
            Because: "Nothing on that network would find it.",
            Source: new Source("RFC 1122, 3.2.1.3; RFC 3021")
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from network in lab.Wires.Networks
        where network.Prefix is not null
        from held in network.Held
        where held.Address is not null && !network.Prefix!.MayBeHost(held.Address)
        let guest = WireFixes.GuestOf(lab, held.Who)
        select Info.On(
            WireFixes.SubjectOf(lab, held.Who),
            $"{held.Address} of {held.Who.Name} is no address for it on {network.Network.Name}",
            held.Address!.Equals(network.Prefix!.Network) ? $"It is the address of {network.Prefix} itself."
                : held.Address.Equals(network.Prefix!.Broadcast) ? $"It is the one for all of {network.Prefix}."
                : $"It is not in {network.Prefix}.",
            () => guest is null ? [] : WireFixes.Next(network, guest)
        );
}
