using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Disks.Rules;

/// <summary>Thin volumes are not promised much more than there is.</summary>
internal sealed class ThinPromised : IRule
{
    private static readonly RuleLimit Limit = new(PoolBudget.PromisedShare.Value, "times", "the room promised");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.thin-promised",
            Severity.Mind,
            Station.Disks,
            Says: "Thin volumes are promised no more than one and a half times the room of their pool.",
            Because: "When they fill together, every guest in the pool stops at once.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Pool.Thin && Limit.Notices(pool.Promised.ShareOf(pool.Room.Usable))
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} on {host.Host.Name} has promised far more than it has",
            $"{pool.Promised.ToDecimalString()} promised, {pool.Room.Usable.ToDecimalString()} there, {pool.Claimed.Value.ToDecimalString()} expected to be used."
        );
}
