using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks.Rules;

/// <summary>Disks of one pool are of one size, or are joined so that little is lost.</summary>
internal sealed class SizesLeftOver : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(new Share(0.1), "of the disks left unused", LimitSide.From);

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.left-over",
            Severity.Mind,
            Station.Disks,
            Says: "Unequal sizes leave less than a tenth of a pool unused.",
            Because: "You paid for the rest.",
            Source: Source.Arithmetic
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        let left = pool.Groups.Aggregate(ByteSize.Zero, (sum, g) => sum + g.LeftOver)
        where left > ByteSize.Zero && Limit.Notices(left.ShareOf(pool.Room.Raw))
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} on {host.Host.Name} cannot use {left.ToDecimalString()} of its disks",
            pool.Members.Select(d => d.Size).Distinct().Count() == 1
                ? $"{Numbers.Count(pool.Members.Count, "disk")} in pairs: one has no partner. Take it out for something else, or add one more."
                : $"They are of different sizes, from {pool.Members.Min(d => d.Size).ToDecimalString()} to {pool.Members.Max(d => d.Size).ToDecimalString()}, and each counts as the smallest. A group for each size, or parity on a disk of its own, keeps more."
        );
}
