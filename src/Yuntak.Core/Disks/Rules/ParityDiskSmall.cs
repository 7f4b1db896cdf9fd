using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks.Rules;

/// <summary>A parity disk holds as much as the largest data disk.</summary>
internal sealed class ParityDiskSmall : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(Share.All, "of the largest data disk", LimitSide.Below);

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.parity-disk-small",
            Severity.Stop,
            Station.Disks,
            Says: "A parity disk is at least as large as the largest data disk.",
            Because: "What lies beyond its end has no parity and is lost with its disk.",
            Source: Source.Arithmetic
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Groups.Any(g => !g.ParityIsLargeEnough)
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"The parity disk of {pool.Pool.Name} on {host.Host.Name} is too small",
            $"Parity is on {Numbers.Count(pool.Pool.Layout.ParityDisks(), "disk")} of {pool.Disks.Take(pool.Pool.Layout.ParityDisks()).Min(d => d.Size).ToDecimalString()}, the largest data disk has {pool.Disks.Skip(pool.Pool.Layout.ParityDisks()).Max(d => d.Size).ToDecimalString()}.",
            () => [new Fix("Use the largest for parity", PoolEdits.LargestForParity(host.Host.Id, pool.Pool.Name))]
        );
}
