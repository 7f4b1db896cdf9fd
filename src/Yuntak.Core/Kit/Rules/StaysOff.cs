using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit.Rules;

/// <summary>After a power cut a host comes back by itself.</summary>
internal sealed class StaysOff : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.stays-off",
            Severity.Mind,
            Station.Kit,
            Says: "A host starts by itself after a power cut.",
            Because: "Otherwise the house stays without its services until somebody presses the button.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where host.Host.PowersOn == false
        select Info.On(
            Subject.Of(host.Host),
            $"{host.Host.Name} stays off after a power cut",
            "In the firmware, on the power page, choose «power on» after a power loss.",
            () => [new Fix("I have set it", HostEdits.Change(host.Host.Id, h => h with { PowersOn = true }))]
        );
}
