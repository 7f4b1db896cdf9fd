using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks.Rules;

/// <summary>A pool with something to compare is read through now and then.</summary>
internal sealed class NoScrub : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.no-scrub",
            Severity.Mind,
            Station.Disks,
            Says: "A scrub or parity check is planned for every pool with parity or mirrors.",
            Because: "Sectors rot unseen, and turn up when a disk has failed and nothing is left to mend them with.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Pool.ScrubDays == 0 && pool.Pool.Survives() > 0
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} on {host.Host.Name} is never read through",
            $"A scrub of it takes about {Numbers.Short(Math.Ceiling(pool.Risk?.ScrubHours ?? 0))} hours, at night and beside other work.",
            () => [new Fix("Plan one a month", PoolEdits.Change(host.Host.Id, pool.Pool.Name, p => p with { ScrubDays = 30 }))]
        );
}
