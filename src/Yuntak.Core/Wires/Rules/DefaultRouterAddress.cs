using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>A new router does not meet the old one at its usual address.</summary>
internal sealed class DefaultRouterAddress : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.default-router-address",
            Severity.Mind,
            Station.Wires,
            Says: "While a router guest is installed, nothing else is at the address it comes up with.",
            Because: "Two routers answer at one address; everybody in the house is offline and nobody finds the page.",
            Source: Source.FromMemory
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from router in lab.Wires.Routers
        from network in lab.Wires.Networks
        where network.Prefix is not null && network.Network.Purpose != NetworkPurpose.Outside
        let usual = Usual.FirstOrDefault(u =>
            network.IsTaken(u) && network.Held.All(h => h.Who != Holder.Of(router.Guest) || !u.Equals(h.Address))
        )
        where usual is not null && router.Guest.Interfaces.Any(l => l.Network == network.Network.Name)
        select Info.On(
            Subject.Of(router.Guest),
            $"{router.Guest.Name} may come up at {usual}, where something is already",
            $"Many routers come up at {usual}. Set its inside address at its console before its inside leg is plugged in."
        );

    private static readonly System.Net.IPAddress[] Usual =
    [
        System.Net.IPAddress.Parse("192.168.1.1"),
        System.Net.IPAddress.Parse("192.168.0.1"),
    ];
}
