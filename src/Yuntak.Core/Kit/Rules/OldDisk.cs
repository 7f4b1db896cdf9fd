using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit.Rules;

/// <summary>Disks past five years fail more often.</summary>
internal sealed class OldDisk : IRule
{
    private static readonly RuleLimit Limit = new(Disk.OldHours, "hours", "run");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.old-disk",
            Severity.Mind,
            Station.Kit,
            Says: "No disk has run for more than five years (43,800 hours).",
            Because: "Disks fail about twice as often from the sixth year on.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        let old = host.Host.Disks.Where(d => d.HoursRun is { } hours && Limit.Notices(hours)).ToList()
        where old.Count > 0
        select Info.On(
            Subject.Of(host.Host),
            $"{Numbers.Count(old.Count, "disk")} in {host.Host.Name} {(old.Count == 1 ? "is" : "are")} past five years",
            string.Join("; ", old.Select(d => $"{d.Name} ({d.Size.ToDecimalString()}): {d.HoursRun:#,##0} hours"))
                + ". Have a spare at hand and a copy elsewhere."
        );
}
