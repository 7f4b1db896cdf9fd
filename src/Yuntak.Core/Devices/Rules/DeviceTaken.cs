using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices.Rules;

/// <summary>A stick goes along with its controller.</summary>
internal sealed class DeviceTaken : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.taken",
            Severity.Stop,
            Station.Devices,
            Says: "A USB device is handed to a single guest, and not away from the guest that has its controller.",
            Because: "What hangs on a controller goes along with it: the other guest starts without its stick, or does not start.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from clash in host.Check.Clashes()
        where clash.Trouble == ClaimTrouble.Taken
        select Info.On(
            Subject.Of(clash.Mine.Guest),
            clash.Mine.Claim.Way == ClaimWay.Whole ? $"{clash.Mine.Guest.Name} takes what {clash.Other.Guest.Name} has along"
                : clash.Other.Claim.Way == ClaimWay.Whole ? $"{clash.Other.Guest.Name} takes what {clash.Mine.Guest.Name} has along"
                : $"{clash.Mine.Guest.Name} and {clash.Other.Guest.Name} both have what is at port {clash.Mine.Claim.Device}",
            $"{clash.Reason}.",
            () => ClaimFixes.Of(host, clash.Mine, clash.Other)
        );
}
