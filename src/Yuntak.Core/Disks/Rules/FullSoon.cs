using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks.Rules;

/// <summary>A pool does not fill up before anybody can do something.</summary>
internal sealed class FullSoon : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(Share.All, "of the room in 30 days");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.full-soon",
            Severity.Stop,
            Station.Disks,
            Says: "No pool is full within 30 days at the growth expected.",
            Because: "A full pool stops every guest that writes to it, and some do not come back by themselves.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        let growth = pool.Growth(host.Guests)
        where pool.Claimed.Value <= pool.Room.Usable && Limit.Notices(growth.After(FillsSoon.Month).ShareOf(pool.Room.Usable))
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} on {host.Host.Name} is full within 30 days",
            $"{growth.After(0).ToDecimalString()} now, {growth.After(FillsSoon.Month).ToDecimalString()} in 30 days, {pool.Room.Usable.ToDecimalString()} of room."
        );
}
