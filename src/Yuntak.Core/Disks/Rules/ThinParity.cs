using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks.Rules;

/// <summary>Single parity is thin on many, large or old disks.</summary>
internal sealed class ThinParity : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.thin-parity",
            Severity.Mind,
            Station.Disks,
            Says: "A single-parity pool has fewer than 5 disks, none of 8 TB or more, none past five years.",
            Because: "Rebuilding takes a day or more, and a second failure during it takes all.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Pool.Layout == PoolLayout.Parity1
        let reasons = Reasons(pool).ToList()
        where reasons.Count > 0
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} survives only one failure",
            $"{pool.Pool.Name} on {host.Host.Name} has single parity over {string.Join(" and ", reasons)}. A second failure during the rebuild takes all of it."
        );

    private static IEnumerable<string> Reasons(PoolBudget pool)
    {
        if (pool.Disks.Count >= ParityAdvice.ManyDisks)
        {
            yield return Numbers.Count(pool.Disks.Count, "disk");
        }

        if (pool.Disks.Any(d => d.Size >= ParityAdvice.LargeDisk))
        {
            yield return $"disks of {pool.Disks.Max(d => d.Size).ToDecimalString()}";
        }

        if (pool.Disks.Any(d => d.HoursRun > Disk.OldHours))
        {
            yield return "disks past five years";
        }
    }
}
