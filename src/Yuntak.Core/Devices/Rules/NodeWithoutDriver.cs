using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Devices.Rules;

/// <summary>The host keeps the driver of what is shared.</summary>
internal sealed class NodeWithoutDriver : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.node-without-driver",
            Severity.Mind,
            Station.Devices,
            Says: "The host has the driver of a card whose node is shared.",
            Because: "Without the driver there is no node; with one that only shows a picture nothing converts, which is noticed at the first film.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from verdict in ClaimFixes.Chosen(host)
        where verdict.CanBe && verdict.Troubles.Contains(ClaimTrouble.NoDriver)
        select Info.On(
            Subject.Of(verdict.Guest),
            $"{host.Host.Name} has no driver for what {verdict.Guest.Name} shares",
            $"{string.Join("; ", verdict.Reasons.Where(r => r.Contains("driver", StringComparison.Ordinal)))}. Then read {host.Host.Name} again."
        );
}
