using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>A tagged network is on a bridge that keeps tags apart.</summary>
internal sealed class TagOnPlainBridge : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.tag-on-plain-bridge",
            Severity.Stop,
            Station.Wires,
            Says: "A tagged network is carried by a bridge that keeps tagged networks apart, or by a port of that tag.",
            Because: "The tag is dropped or let through to everybody: the guest is on another network than meant, or on none.",
            Source: new Source("IEEE 802.1Q")
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Lab.Hosts
        from bridge in host.Wires.Bridges
        from name in bridge.Networks
        let network = lab.Lab.Network(name)
        where network is { Tag: not null } && !bridge.Aware && bridge.Port?.EndsWith($".{network.Tag}", StringComparison.Ordinal) != true
        select Info.On(
            Subject.Of(host),
            $"{bridge.Name} of {host.Name} does not keep {name} apart",
            $"{name} has the tag {network.Tag}, and {bridge.Name} is not tag-aware.",
            () => [new Fix($"Make {bridge.Name} tag-aware", WireEdits.Bridge(host.Id, bridge with { Aware = true }))]
        );
}
