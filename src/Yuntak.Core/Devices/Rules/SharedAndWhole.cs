using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices.Rules;

/// <summary>What containers share is not handed to a machine whole.</summary>
internal sealed class SharedAndWhole : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.shared-and-whole",
            Severity.Stop,
            Station.Devices,
            Says: "A card that containers share by its node is not handed to a machine whole.",
            Because: "The host loses the card with its driver, and with them the node: what shared it has nothing left.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from clash in host.Check.Clashes()
        where clash.Trouble == ClaimTrouble.Shared
        let whole = clash.Mine.Claim.Way == ClaimWay.Whole ? clash.Mine : clash.Other
        let sharing = clash.Mine.Claim.Way == ClaimWay.Whole ? clash.Other : clash.Mine
        select Info.On(
            Subject.Of(whole.Guest),
            $"{whole.Guest.Name} is handed whole what {sharing.Guest.Name} shares",
            $"With {host.Map.NameOf(whole.Claim.Device!)} goes {host.Map.NameOf(sharing.Claim.Device!)}: {sharing.Guest.Name} has it as a device node, which is gone then.",
            () => ClaimFixes.Of(host, whole, sharing)
        );
}
