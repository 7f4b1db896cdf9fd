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
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.left-over",
            Severity.Mind,
            Station.Disks,
            Says: "Unequal sizes leave less than a tenth of a pool unused.",
            Because: "You paid for the rest.",
            Source: Source.Arithmetic
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        let left = pool.Groups.Aggregate(ByteSize.Zero, (sum, g) => sum + g.LeftOver)
        where left.ShareOf(pool.Room.Raw) > Much
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} on {host.Host.Name} cannot use {left.ToDecimalString()} of its disks",
            $"They are of different sizes, from {pool.Disks.Min(d => d.Size).ToDecimalString()} to {pool.Disks.Max(d => d.Size).ToDecimalString()}, and each counts as the smallest. A group for each size, or parity on a disk of its own, keeps more."
        );

    private static readonly Share Much = new(0.1);
}
