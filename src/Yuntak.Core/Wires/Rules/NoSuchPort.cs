using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>A planned bridge has a port that is there.</summary>
internal sealed class NoSuchPort : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.no-such-port",
            Severity.Stop,
            Station.Wires,
            Says: "The port of a planned bridge is one that its host was read to have.",
            Because: "The bridge would come up with nothing in it, and whoever hangs from it is cut off.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Lab.Hosts
        where host.Hardware.Ports.Count > 0
        from bridge in host.Wires.Bridges
        // A tagged port is called by its port and its tag: «eno1.20».
        where bridge.Port is not null && host.Hardware.Ports.All(p => p.Name != bridge.Port && p.Name != bridge.Port.Split('.')[0])
        let free = host
            .Hardware.Ports.Where(p => !p.Wireless && lab.Wires.BridgesOf(host.Id).All(b => b.Port != p.Name))
            .Select(p => p.Name)
            .ToList()
        select Info.On(
            Subject.Of(host),
            $"{host.Name} has no port {bridge.Port} for {bridge.Name}",
            $"It was read to have {string.Join(", ", host.Hardware.Ports.Select(p => p.Name))}.",
            () =>
                [
                    .. free.Take(2).Select(p => new Fix($"{bridge.Name} on {p}", WireEdits.Bridge(host.Id, bridge with { Port = p }))),
                    new Fix($"Make {bridge.Name} private", WireEdits.Bridge(host.Id, bridge with { Port = null })),
                ]
        );
}
