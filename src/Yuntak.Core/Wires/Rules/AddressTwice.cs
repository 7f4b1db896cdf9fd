using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>An address is one's.</summary>
internal sealed class AddressTwice : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.address-clash",
            Severity.Stop,
            Station.Wires,
            Says: "An address of a network belongs to one holder only.",
            Because: "Whoever answers first gets what was meant for the other; it looks like a fault that comes and goes.",
            Source: new Source("RFC 5227")
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from network in lab.Wires.Networks
        from same in network
            .Held.Where(h => h.Address is not null)
            .GroupBy(h => h.Address!)
            .Where(g => g.Select(h => h.Who).Distinct().Skip(1).Any())
        let guest = same.Select(h => WireFixes.GuestOf(lab, h.Who)).LastOrDefault(g => g is not null)
        select Info.On(
            guest is not null ? Subject.Of(guest) : Subject.Of(lab.Lab),
            $"{string.Join(" and ", same.Select(h => h.Who.Name).Distinct())} are both at {same.Key}",
            $"On {network.Network.Name} each needs an address of its own{(network.NextFree is { } free ? $"; {free} is free" : "")}.",
            () => guest is null ? [] : WireFixes.Next(network, guest)
        );
}
