using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Bench.Rules;

/// <summary>No pool promises more room than it has.</summary>
internal sealed class PoolOver : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(Share.All, "of the room claimed");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.pool-over",
            Severity.Stop,
            Station.Bench,
            Says: "What guests claim of a pool fits into it.",
            Because: "Every guest on it stops when the pool is full.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Claimed.Value > pool.Room.Usable && !pool.IsLost
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} on {host.Host.Name} is too small",
            $"{pool.Claimed.Value.ToDecimalString()} claimed of {pool.Room.Usable.ToDecimalString()}: {(ByteSize.Zero - pool.Spare).ToDecimalString()} too much.",
            () => Relief.Pool(lab, host, pool),
            pool.Claimed
        );
}
