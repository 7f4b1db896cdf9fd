using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices.Rules;

/// <summary>What the host itself needs stays with it, whatever lies in one isolation group with it.</summary>
internal sealed class HostNeedsDevice : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.host-needs",
            Severity.Stop,
            Station.Devices,
            Says: "Nothing is handed over that the host itself needs, nor what shares an isolation group with it: the controller of its boot disk or of a pool, its management port, the link of its battery backup.",
            Because: "A group moves as a whole. The host would lose its disks, its way in, or the word of its battery backup.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from verdict in ClaimFixes.Chosen(host)
        where verdict.Troubles.Contains(ClaimTrouble.HostNeeds)
        select Info.On(
            Subject.Of(verdict.Guest),
            $"{host.Host.Name} needs what {verdict.Guest.Name} is handed with {verdict.Device}",
            $"{string.Join("; ", verdict.Reasons)}.",
            () => ClaimFixes.Of(host, verdict, "Leave it with the host")
        );
}
