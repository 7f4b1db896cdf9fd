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
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.pool-past-comfort",
            Severity.Mind,
            Station.Bench,
            Says: "No pool is claimed past 80 %.",
            Because: "Copy-on-write pools slow down when they look for free room, and every pool needs time to be enlarged.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Fit == Fit.Tight
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} is past its comfort line",
            $"{pool.Claimed.Value} of {pool.Room.Usable} on {host.Host.Name} is claimed ({pool.Share}); {100 * PoolRoom.ComfortShare:0} % is {pool.Room.Comfort}."
                + (pool.Pool.Family == PoolFamily.CopyOnWrite ? " Copy-on-write pools slow down past it." : ""),
            () => Relief.Pool(lab, host, pool),
            pool.Claimed
        );
}
