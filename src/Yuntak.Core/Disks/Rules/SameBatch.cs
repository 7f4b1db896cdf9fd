using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks.Rules;

/// <summary>Disks that were born together may die together.</summary>
internal sealed class SameBatch : IRule
{
    private static readonly RuleLimit Disks = new(3, "disks", "of one model and one age", LimitSide.From);
    private static readonly RuleLimit Age = new(2, "years", "of age", LimitSide.From);
    private static readonly RuleLimit Apart = new(FailureRates.BatchHours, "hours", "between the youngest and the oldest", LimitSide.UpTo);

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.same-batch",
            Severity.Note,
            Station.Disks,
            Says: "The disks of a pool with parity are not all of one model and one age.",
            Because: "Disks of one batch fail closer together than the odds say, and a rebuild works the others hardest.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Disks, Age, Apart],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Pool.Layout.ParityDisks() > 0 && pool.IsOneBatch && Disks.Notices(pool.Disks.Count) && Age.Notices(pool.AgeYears)
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"The disks of {pool.Pool.Name} on {host.Host.Name} are all of one batch",
            $"{pool.Disks.Count} × {pool.Disks[0].Model}, {Numbers.Short(Math.Round(pool.AgeYears, 1))} years old. Odds of losing it within a year: {(pool.Risk is { } risk ? Odds.Words(risk.LossPerYear, risk.LossInBatch) : "unknown while it has too few disks")}. Replace one or two before their time, and keep a spare."
        );
}
