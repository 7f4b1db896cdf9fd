using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>A hardware address is one's.</summary>
internal sealed class MacTwice : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.mac-twice",
            Severity.Stop,
            Station.Wires,
            Says: "A hardware address belongs to one place on a network.",
            Because: "Switches send what is meant for one to the other, and a reservation is for whoever asks first. A clone that kept its address does that.",
            Source: new Source("IEEE 802")
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from mac in Known(lab).GroupBy(m => m.Mac, StringComparer.Ordinal)
        let who = mac.Select(m => m.Who).Distinct().ToList()
        where who.Count > 1
        let guest = who.Select(w => WireFixes.GuestOf(lab, w)).LastOrDefault(g => g is not null)
        select Info.On(
            guest is not null ? Subject.Of(guest) : WireFixes.SubjectOf(lab, who[^1]),
            $"{string.Join(" and ", who.Select(w => w.Name))} have the hardware address {mac.Key}",
            "Give one of them another, and reserve its address anew.",
            () =>
                guest is null
                    ? []
                    : guest
                        .Interfaces.Where(l => l.Mac == mac.Key)
                        .Select(l => new Fix(
                            $"Another one for {guest.Name}",
                            LegEdits.ChangeLeg(guest.Id, l.Network, x => x with { Mac = null })
                        ))
        );

    private static IEnumerable<(string Mac, Holder Who)> Known(Sums lab) =>
        lab
            .Lab.Guests.SelectMany(g => g.Interfaces.Select(l => (Macs.Of(g, l), Holder.Of(g))))
            .Concat(lab.Lab.Boxes.Where(b => b.Mac is not null).Select(b => (b.Mac!, Holder.Of(b))))
            .Concat(lab.Lab.Hosts.SelectMany(h => h.Hardware.Ports.Where(p => p.Mac is not null).Select(p => (p.Mac!, Holder.Of(h)))));
}
