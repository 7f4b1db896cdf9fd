using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks.Rules;

/// <summary>There is time to buy disks.</summary>
internal sealed class FillsSoon : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(PoolRoom.ComfortShare, "of the room in 90 days");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.fills-soon",
            Severity.Mind,
            Station.Disks,
            Says: "No pool passes 80 % within 90 days at the growth expected.",
            Because: "Disks have to be chosen, bought, tested and joined before the room is gone.",
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
        where pool.Claimed.Value <= pool.Room.Comfort
        where Limit.Notices(growth.After(Quarter).ShareOf(pool.Room.Usable)) && growth.After(Month) <= pool.Room.Usable
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} on {host.Host.Name} passes 80 % within 90 days",
            $"{growth.After(0).ToDecimalString()} now, {growth.After(Quarter).ToDecimalString()} in 90 days, comfortable up to {pool.Room.Comfort.ToDecimalString()}."
        );

    internal const double Quarter = 90 / Duration.DaysPerYear;
    internal const double Month = 30 / Duration.DaysPerYear;
}
