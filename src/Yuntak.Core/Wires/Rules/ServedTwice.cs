using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>Names and addresses of a network come from one place.</summary>
internal sealed class ServedTwice : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.served-twice",
            Severity.Mind,
            Station.Wires,
            Says: "On a network names are served, and addresses handed out, by no more than one.",
            Because: "Which of them answers first is chance; what one blocks or reserves the other does not know.",
            Source: new Source("RFC 2131; common practice")
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from network in lab.Wires.Networks
        from port in new[] { WellKnown.Names, WellKnown.HandingOut }
        let served = lab
            .Wires.Ports.Where(p =>
                p.Port == port && p.Protocol == WireProtocol.Udp && !p.OnlyHere && !p.WasRead && network.Held.Any(h => h.Who == p.Stack)
            )
            .Select(p => p.Who)
            .Distinct()
            .ToList()
        where served.Count > 1
        select Info.On(
            WireFixes.SubjectOf(lab, served[^1]),
            $"{string.Join(" and ", served.Select(s => s.Name))} both {(port == WellKnown.Names ? "serve names" : "hand out addresses")} on {network.Network.Name}",
            port == WellKnown.Names
                ? "On purpose, as a stand-in? Then see that both know the same names. Else let one do it."
                : "Let one do it, and switch it off in the other."
        );
}
