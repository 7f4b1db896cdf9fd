using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit.Rules;

/// <summary>Flash wears out by being written to.</summary>
internal sealed class DiskWorn : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(new Share(DiskHealth.WornPercent / 100), "of its promised writing used");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.disk-worn",
            Severity.Mind,
            Station.Kit,
            Says: "No flash disk is past 80 % of its promised writing.",
            Because: "Past it the maker promises nothing; some then turn read-only from one write to the next.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        let worn = host.Host.Disks.Where(d => d.Health?.WearPercent is { } worn && Limit.Notices(worn / 100)).ToList()
        where worn.Count > 0
        select Info.On(
            Subject.Of(host.Host),
            $"{Numbers.Count(worn.Count, "flash disk")} in {host.Host.Name} {(worn.Count == 1 ? "is" : "are")} worn",
            string.Join(
                "; ",
                worn.Select(d => $"{d.Name}: {Numbers.Percent(d.Health!.WearPercent!.Value / 100)} of its promised writing is used")
            ) + ". Plan its replacement."
        );
}
