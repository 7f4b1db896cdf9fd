using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit.Rules;

/// <summary>A pool that misses too many disks is lost.</summary>
public sealed class PoolLost : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.pool-lost",
            Severity.Stop,
            Station.Kit,
            Says: "No pool misses more disks than its layout survives.",
            Because: "What was in it is gone; only a backup brings it back.",
            Source: Source.Arithmetic
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Assessment lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        let all = pool.Pool.DiskIds.Count
        let missing = all - pool.Disks.Count
        where missing > 0 && pool.Pool.Layout.Survives(all) - missing < 0
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} on {host.Host.Name} is lost",
            $"{missing} of its {Numbers.Count(all, "disk")} {(missing == 1 ? "is" : "are")} not in the host: {pool.Pool.Layout.AfterLosing(missing, all)}. Look for the disks first: a loose cable is not a dead disk."
        );
}
