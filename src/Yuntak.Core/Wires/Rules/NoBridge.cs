using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wires.Rules;

/// <summary>A network reaches the host of who is on it.</summary>
internal sealed class NoBridge : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.no-bridge",
            Severity.Stop,
            Station.Wires,
            Says: "A guest's host has a bridge that carries the guest's network.",
            Because: "The guest is on no network at all.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Lab.Guests
        let host = lab.Lab.HostOf(guest)
        where host is not null
        from leg in LegSums.NotCarried(lab.Wires, host, guest)
        let bridge = lab.Wires.BridgeOf(host, leg)
        select Info.On(
            Subject.Of(guest),
            bridge is null && leg.Bridge is not null
                ? $"{host.Name} has no bridge {leg.Bridge} for {guest.Name}"
                : $"No bridge of {host.Name} carries {leg.Network} for {guest.Name}",
            $"{host.Name} has {string.Join(", ", lab.Wires.BridgesOf(host.Id).Select(b => $"{b.Name} ({(b.Networks.Count == 0 ? "carries nothing that is known" : string.Join(", ", b.Networks.Select(n => n.Name)))})"))}.",
            () => Fixes(lab, host, guest, leg)
        );

    private static IEnumerable<Fix> Fixes(Sums lab, Host host, Guest guest, Leg leg)
    {
        if (leg.Bridge is not null && lab.Wires.BridgesOf(host.Id).Any(b => b.Networks.Any(n => n.Name == leg.Network)))
        {
            yield return new("Take the bridge that carries it", LegEdits.ChangeLeg(guest.Id, leg.Network, l => l with { Bridge = null }));
        }

        // A bridge that carries something already would join the two networks, unless tags keep them apart.
        foreach (
            var bridge in lab
                .Wires.BridgesOf(host.Id)
                .Where(b => b.Networks.Count == 0 || (b.Aware == true && lab.Lab.Network(leg.Network)?.Tag is not null))
                .Take(2)
        )
        {
            var planned = host.Wires.Bridges.FirstOrDefault(b => b.Name == bridge.Name) ?? new PlannedBridge(bridge.Name, bridge.Port);
            yield return new(
                $"{bridge.Name} carries {leg.Network}",
                l =>
                {
                    var with = WireEdits.Bridge(host.Id, planned with { Networks = planned.Networks.With(leg.Network) })(l);
                    return leg.Bridge is null || leg.Bridge == bridge.Name
                        ? with
                        : new Changed(
                            LegEdits.ChangeLeg(guest.Id, leg.Network, x => x with { Bridge = null })(with.Lab).Lab,
                            with.Sentence
                        );
                }
            );
        }
    }
}
