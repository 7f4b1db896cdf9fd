using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Disks.Rules;

/// <summary>A pool is of one kind of disk.</summary>
internal sealed class MixedKinds : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.mixed-kinds",
            Severity.Mind,
            Station.Disks,
            Says: "Spinning disks and flash are not in one pool.",
            Because: "Every write waits for the slowest of them.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Disks.Select(d => d.IsFlash).Distinct().Count() > 1
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} on {host.Host.Name} mixes flash with other disks",
            $"{string.Join(", ", pool.Disks.GroupBy(d => d.Kind).Select(g => $"{g.Count()} × {g.Key.Words()}"))}. Make a pool of each; the flash serves guest disks best."
        );
}
