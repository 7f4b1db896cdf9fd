using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Bench.Rules;

/// <summary>The busiest hour leaves a fifth of the processor.</summary>
internal sealed class CoresTight : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(ProcessorBudget.TightShare, "of the effective cores in the busiest hour");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.cores-tight",
            Severity.Mind,
            Station.Bench,
            Says: "In no hour do the guests of a host want more than 80 % of its effective cores.",
            Because: "Two busy moments at once would queue.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        let cores = host.Processor
        where Limit.Notices(cores.Share) && cores.Share <= ProcessorBudget.OverShare
        select Info.On(
            Subject.Of(host.Host),
            $"The busiest hour on {host.Host.Name} is {(cores.Share > Share.All ? "more than full" : "close")}",
            $"At {Numbers.Hour(cores.PeakHour)} the guests want {Numbers.OneDecimal(cores.Peak.Value.Value)} of "
                + $"{Numbers.OneDecimal(cores.Effective.Value.Value)} effective cores ({cores.Share}). Two busy moments at once would queue.",
            () => Relief.Processor(lab, host),
            cores.Peak
        );
}
