using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit.Rules;

/// <summary>Lost sectors are a warning.</summary>
internal sealed class DiskLosesSectors : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.disk-sectors",
            Severity.Mind,
            Station.Kit,
            Says: "No disk has reallocated or pending sectors.",
            Because: "A disk that has begun to replace sectors often goes on doing so, and a pending one is data that could not be read.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        let losing = host.Host.Disks.Where(d => d.Health is { LostSectors: true, Failing: false }).ToList()
        where losing.Count > 0
        select Info.On(
            Subject.Of(host.Host),
            $"{Numbers.Count(losing.Count, "disk")} in {host.Host.Name} {(losing.Count == 1 ? "has" : "have")} lost sectors",
            string.Join(
                "; ",
                losing.Select(d => $"{d.Name}: {d.Health!.ReallocatedSectors ?? 0} reallocated, {d.Health.PendingSectors ?? 0} pending")
            ) + ". Look again in a week; when the numbers grow, replace it."
        );
}
