using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>The largest packet is the same all the way.</summary>
internal sealed class MtuDiffers : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.mtu-differs",
            Severity.Mind,
            Station.Wires,
            Says: "The largest packet is the same on every bridge that carries a network.",
            Because: "Small packets pass and large ones vanish: pages open, files do not come over.",
            Source: new Source("RFC 2923")
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from network in lab.Wires.Networks
        let bridges = lab.Lab.Hosts.SelectMany(h => lab.Wires.BridgesOf(h.Id)).Where(b => b.Networks.Contains(network.Network)).ToList()
        where bridges.Count > 0
        let sizes = bridges.Select(b => b.Mtu).Append(network.Network.Mtu ?? bridges[0].Mtu).Distinct().Order().ToList()
        where sizes.Count > 1
        select Info.On(
            Subject.Of(bridges[0].Host),
            $"{network.Network.Name} has packets of different sizes",
            $"{string.Join(", ", bridges.Select(b => $"{b.Name} of {b.Host.Name}: {b.Mtu} bytes"))}{(network.Network.Mtu is { } meant ? $"; {meant} are planned" : "")}. Set all of them to one size, the switch too.",
            () =>
                bridges.Exists(b => !b.Planned)
                    ? []
                    :
                    [
                        new Fix(
                            $"All to {sizes[0]} bytes",
                            l => new Changed(
                                bridges.Aggregate(
                                    WireEdits
                                        .ChangeNetwork(network.Network.Name, n => n with { Mtu = n.Mtu is null ? null : sizes[0] })(l)
                                        .Lab,
                                    (x, b) =>
                                        WireEdits
                                            .Bridge(
                                                b.Host.Id,
                                                x.Host(b.Host.Id)!.Wires.Bridges.First(p => p.Name == b.Name) with
                                                {
                                                    Mtu = sizes[0] == Network.UsualMtu ? null : sizes[0],
                                                }
                                            )(x)
                                            .Lab
                                ),
                                $"packets of {network.Network.Name}: {sizes[0]} bytes"
                            )
                        ),
                    ]
        );
}
