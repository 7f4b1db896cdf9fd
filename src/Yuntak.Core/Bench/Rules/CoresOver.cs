using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Bench.Rules;

/// <summary>The busiest hour fits the processor.</summary>
internal sealed class CoresOver : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(ProcessorBudget.OverShare, "of the effective cores in the busiest hour");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.cores-over",
            Severity.Stop,
            Station.Bench,
            Says: "In no hour do the guests of a host want more than 120 % of its effective cores.",
            Because: "Work queues up faster than it is done: films stall, recordings drop frames.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        let cores = host.Processor
        where Limit.Notices(cores.Share)
        select Info.On(
            Subject.Of(host.Host),
            $"{host.Host.Name} cannot keep up at {Numbers.Hour(cores.PeakHour)}",
            $"The guests want {cores.Peak.Value}; it has {Numbers.OneDecimal(cores.Effective.Value.Value)} effective cores ({cores.Share}).",
            () => Relief.Processor(lab, host),
            cores.Peak
        );
}
