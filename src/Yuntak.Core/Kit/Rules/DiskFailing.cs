using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit.Rules;

/// <summary>A failing disk is replaced before it takes its data along.</summary>
internal sealed class DiskFailing : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.disk-failing",
            Severity.Stop,
            Station.Kit,
            Says: "No disk says of itself that it is failing.",
            Because: "Its own test speaks up late: what is on it may be gone tomorrow.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        let failing = host.Host.Disks.Where(d => d.Health is { Failing: true }).ToList()
        where failing.Count > 0
        select Info.On(
            Subject.Of(host.Host),
            $"{Numbers.Count(failing.Count, "disk")} in {host.Host.Name} {(failing.Count == 1 ? "says it is" : "say they are")} failing",
            string.Join("; ", failing.Select(d => $"{d.Name} ({d.Size.ToDecimalString()}, {d.Id})"))
                + ". Make sure of a copy elsewhere today, then replace it."
        );
}
