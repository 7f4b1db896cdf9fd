using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit.Rules;

/// <summary>A pool that misses a disk is not as safe as it was planned.</summary>
public sealed class PoolDegraded : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.pool-degraded",
            Severity.Mind,
            Station.Kit,
            Says: "No pool misses a disk.",
            Because: "Its safety is used up: one more failure may take all of it.",
            Source: Source.Arithmetic
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Assessment lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        let all = pool.Pool.DiskIds.Count
        let missing = all - pool.Disks.Count
        where missing > 0 && pool.Pool.Layout.Survives(all) - missing >= 0
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} on {host.Host.Name} misses a disk",
            $"{missing} of its {Numbers.Count(all, "disk")} {(missing == 1 ? "is" : "are")} not in the host: {pool.Pool.Layout.AfterLosing(missing, all)}. Replace the disk, or take it out of the plan."
        );
}
