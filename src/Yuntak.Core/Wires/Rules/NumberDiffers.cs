using Yuntak.Core.Addresses;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wires.Rules;

/// <summary>Where numbers say the address, they do.</summary>
internal sealed class NumberDiffers : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.number-differs",
            Severity.Mind,
            Station.Wires,
            Says: "On a network that follows numbers, the last part of a guest's address is its number.",
            Because: "The number is how you find it at night; when it lies, you restart the wrong one.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from network in lab.Wires.Networks
        where network.Network.Numbered
        from guest in lab.Lab.Guests
        where guest.Number is not null
        from leg in guest.Interfaces
        where leg.Network == network.Network.Name && leg.Address is not null && IpText.LastPart(leg.Address) != guest.Number
        let own = network.ForNumber(guest.Number!.Value)
        select Info.On(
            Subject.Of(guest),
            $"{guest.Name} is number {guest.Number} and sits at {leg.Address}",
            own is not null ? $"{own} is free."
                : network.Numbers is { } range
                    ? $"The address of that number is not to be had; numbers from {range.First} to {range.Last} work here."
                : "No number works here.",
            () => own is null ? [] : [new Fix($"Take {own}", LegEdits.Address(guest.Id, leg.Network, own.ToString()))]
        );
}
