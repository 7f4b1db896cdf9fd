using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wires.Rules;

/// <summary>The router starts with its host.</summary>
internal sealed class RouterNoAutostart : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.router-no-autostart",
            Severity.Stop,
            Station.Wires,
            Says: "A router guest starts with its host.",
            Because: "After a power cut nobody in the house is online until somebody starts it by hand, and nobody can from outside.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from router in lab.Wires.Routers
        where router.Guest.Autostart == false
        select Info.On(
            Subject.Of(router.Guest),
            $"{router.Guest.Name} does not start with its host",
            $"Let it start first, before what needs the network.",
            () => [new Fix("Let it start with its host", GuestEdits.Change(router.Guest.Id, g => g with { Autostart = null }))]
        );
}
