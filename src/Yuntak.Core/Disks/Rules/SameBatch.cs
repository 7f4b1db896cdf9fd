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
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.same-batch",
            Severity.Note,
            Station.Disks,
            Says: "The disks of a pool with parity are not all of one model and one age.",
            Because: "Disks of one batch fail closer together than the odds say, and a rebuild works the others hardest.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Pool.Layout.ParityDisks() > 0 && pool.Disks.Count >= Several && pool.AgeYears >= Young
        where pool.Disks.All(d => d.Model is not null && d.HoursRun is not null) && pool.Disks.Select(d => d.Model).Distinct().Count() == 1
        where pool.Disks.Max(d => d.HoursRun!.Value) - pool.Disks.Min(d => d.HoursRun!.Value) < AMonth
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"The disks of {pool.Pool.Name} on {host.Host.Name} are all of one batch",
            $"{pool.Disks.Count} × {pool.Disks[0].Model}, {Numbers.Short(Math.Round(pool.AgeYears, 1))} years old. Replace one or two before their time, and keep a spare."
        );

    private const int Several = 3;
    private const double Young = 2;
    private const double AMonth = 730;
}
