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
    private static readonly RuleLimit Disks = new(ParityAdvice.ManyDisks, "disks", "in a group", LimitSide.From);
    private static readonly RuleLimit Size = new(ParityAdvice.LargeDisk.TB, "TB", "a spinning disk", LimitSide.From);
    private static readonly RuleLimit Age = new(ParityAdvice.OldYears, "years", "of age");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.thin-parity",
            Severity.Mind,
            Station.Disks,
            Says: "A group with single parity, on disks of its own or not, has fewer than 5 disks, no spinning one of 8 TB or more, none past five years.",
            Because: "Rebuilding takes a day or more, and a second failure during it takes all.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Disks, Size, Age],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Groups.All(g => g.HasEnough)
        let thin = ParityAdvice.Thin(pool.Groups, pool.IsOld).ToList()
        where thin.Count > 0
        let words = thin[0].Reasons.Select(r => r.Words(thin[0].Group.Disks))
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} survives only one failure",
            $"{pool.Pool.Name} on {host.Host.Name} has single parity over {string.Join(" and ", words)}{(pool.Groups.Count > 1 ? " in a group" : "")}. "
                + (
                    pool.Pool.Layout.IsDedicated()
                        ? "A second failure during the rebuild takes what was on those disks."
                        : "A second failure during the rebuild takes all of it."
                )
        );
}
