using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices.Rules;

/// <summary>A device handed over whole has one owner.</summary>
internal sealed class ClaimedTwice : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.claimed-twice",
            Severity.Stop,
            Station.Devices,
            Says: "A card that is handed over whole, with all of its isolation group, belongs to a single guest.",
            Because: "A device handed over whole has one owner, and a group has one too. The second guest does not start.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from clash in host.Check.Clashes()
        where clash.Trouble == ClaimTrouble.TakenWhole
        select Info.On(
            Subject.Of(clash.Mine.Guest),
            $"{clash.Mine.Guest.Name} and {clash.Other.Guest.Name} are both handed {clash.Mine.Claim.Device} whole",
            $"{clash.Reason}.",
            () => ClaimFixes.Of(host, clash.Mine, clash.Other)
        );
}
