using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices.Rules;

/// <summary>A switch that splits groups makes no boundary.</summary>
internal sealed class GroupsSplit : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.groups-split",
            Severity.Mind,
            Station.Devices,
            Says: "Isolation groups are those the board keeps apart; no switch of the kernel splits them further.",
            Because: "Devices of one real group can write to each other: a guest that has one of them reaches what has the other. The groups are no boundary any more.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        where host.Host.Hardware.GroupsSplit == true && host.Check.Asked.Any(a => a.Claim.Way is ClaimWay.Whole or ClaimWay.Slice)
        select Info.On(
            Subject.Of(host.Host),
            $"{host.Host.Name} splits isolation groups by a kernel switch",
            $"{string.Join(", ", host.Check.Asked.Where(a => a.Claim.Way is ClaimWay.Whole or ClaimWay.Slice).Select(a => a.Guest.Name).Distinct(StringComparer.Ordinal))} can reach more than what is handed over. Trust them as you trust the host, or take the switch out and see what the groups really are.",
            () => [new Fix("I have taken it out", HostEdits.Change(host.Host.Id, h => h.With(h.Hardware with { GroupsSplit = false })))]
        );
}
