using Yuntak.Core.Addresses;
using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>A router behind a router is known to be one.</summary>
internal sealed class DoubleTranslation : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.double-translation",
            Severity.Note,
            Station.Wires,
            Says: "A router guest whose outside leg has a private address stands behind another router.",
            Because: "Its usual setting blocks private addresses outside, and then nothing gets through; ways in have to be opened in both.",
            Source: new Source("RFC 1918")
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from router in lab.Wires.Routers
        from leg in router.Guest.Interfaces
        let network = lab.Lab.Network(leg.Network)
        where network is { Purpose: NetworkPurpose.Outside }
        where IpText.Read(leg.Address) is { } address ? Prefix.IsPrivateAddress(address) : Prefix.Read(network.Prefix)?.IsPrivate == true
        select Info.On(
            Subject.Of(router.Guest),
            $"{router.Guest.Name} stands behind another router",
            $"Its outside leg is at {leg.Address ?? network.Prefix}, a private address. Switch «block private networks» off on that leg; open every way in at both routers."
        );
}
