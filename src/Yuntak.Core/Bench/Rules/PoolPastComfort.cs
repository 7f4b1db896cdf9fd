using Yuntak.Core.Disks;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Bench.Rules;

/// <summary>A pool keeps a fifth of its room free.</summary>
internal sealed class PoolPastComfort : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(PoolRoom.ComfortShare, "of the room claimed");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.pool-past-comfort",
            Severity.Mind,
            Station.Bench,
            Says: "No pool is claimed past 80 %.",
            Because: "Copy-on-write pools slow down when they look for free room, and every pool needs time to be enlarged.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where Limit.Notices(pool.Share) && pool.Claimed.Value <= pool.Room.Usable
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} is past its comfort line",
            $"{pool.Claimed.Value.ToDecimalString()} of {pool.Room.Usable.ToDecimalString()} on {host.Host.Name} is claimed ({pool.Share}); {PoolRoom.ComfortShare} is {pool.Room.Comfort.ToDecimalString()}."
                + (pool.Pool.Family == PoolFamily.CopyOnWrite ? " Copy-on-write pools slow down past it." : ""),
            () => Relief.Pool(lab, host, pool),
            pool.Claimed
        );
}
