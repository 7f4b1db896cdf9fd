using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>A router guest stands on networks that are kept apart.</summary>
internal sealed class RouterLegsCrossed : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.router-one-leg",
            Severity.Stop,
            Station.Wires,
            Says: "A router guest has a leg on the outside and another inside, and the wires under them are kept apart.",
            Because: "On one wire the provider's side and the house are the same network: each answers for the other.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from router in lab.Wires.Routers
        let legs = router.Guest.Interfaces
        where legs.Count > 0
        let why = Why(lab, router.Guest)
        where why is not null
        select Info.On(
            Subject.Of(router.Guest),
            $"{router.Guest.Name} has its legs on one wire",
            why
                + " A second port, tagged networks on a bridge that keeps them apart, or a private bridge inside for trying things: any of them will do.",
            () => Fixes(lab, router.Guest)
        );

    private static string? Why(Sums lab, Guest guest)
    {
        var legs = guest.Interfaces;
        if (legs.Select(l => l.Network).Distinct(StringComparer.Ordinal).Count() < 2)
        {
            return $"Its only network is {legs[0].Network}.";
        }

        var host = lab.Lab.HostOf(guest);
        return LegSums.Crossed(lab.Wires, host, guest) is { } crossed
            ? $"{string.Join(" and ", crossed.Networks)} are both on {crossed.Bridge} of {host!.Name}, with nothing to tell them apart."
            : null;
    }

    private static IEnumerable<Fix> Fixes(Sums lab, Guest guest)
    {
        var inside = guest.Interfaces.Where(l => lab.Lab.Network(l.Network)?.Purpose != NetworkPurpose.Outside).ToList();
        if (guest.Interfaces.Count < 2)
        {
            return lab
                .Lab.Networks.Where(n => guest.Interfaces.All(l => l.Network != n.Name))
                .Take(3)
                .Select(n => new Fix($"A leg on {n.Name} too", LegEdits.Join(guest.Id, n.Name, "")));
        }

        return inside.Count > 0 && lab.Lab.HostOf(guest) is { } host && lab.Wires.BridgesOf(host.Id).All(b => b.Name != "brin")
            ?
            [
                new Fix(
                    $"Put {inside[^1].Network} on a private bridge",
                    l =>
                    {
                        var bridged = WireEdits.Bridge(host.Id, new PlannedBridge("brin", Networks: [inside[^1].Network]))(l);
                        var moved = LegEdits.ChangeLeg(guest.Id, inside[^1].Network, leg => leg with { Bridge = "brin" })(bridged.Lab);
                        return new Changed(moved.Lab, $"{inside[^1].Network} of {guest.Name} on a private bridge of {host.Name}");
                    }
                ),
            ]
            : [];
    }
}
