using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit.Rules;

/// <summary>A pool that misses too many disks is lost.</summary>
internal sealed class PoolLost : IRule
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
    public IEnumerable<Finding> Check(Sums lab) =>
        from pool in MissingDisks.In(lab)
        where pool.Survives < 0
        select Info.On(
            Subject.Of(pool.Host.Host, pool.Pool.Pool),
            $"{pool.Pool.Pool.Name} on {pool.Host.Host.Name} is lost",
            $"{pool.Words} Look for the disks first: a loose cable is not a dead disk."
        );
}
