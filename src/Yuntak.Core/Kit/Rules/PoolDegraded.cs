using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit.Rules;

/// <summary>A pool that misses a disk is not as safe as it was planned.</summary>
internal sealed class PoolDegraded : IRule
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
    public IEnumerable<Finding> Check(Sums lab) =>
        from pool in MissingDisks.In(lab)
        where pool.Survives >= 0
        select Info.On(
            Subject.Of(pool.Host.Host, pool.Pool.Pool),
            $"{pool.Pool.Pool.Name} on {pool.Host.Host.Name} misses a disk",
            $"{pool.Words} Replace the disk, or take it out of the plan."
        );
}
