using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Bench.Rules;

/// <summary>Virtual processors stay within four to a thread.</summary>
internal sealed class VcpuCrowded : IRule
{
    private static readonly RuleLimit Limit = new(ProcessorBudget.TightVcpuPerThread.Value, "virtual processors", "for each thread");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.vcpu-crowded",
            Severity.Mind,
            Station.Bench,
            Says: "No host gives out more than four virtual processors for each thread.",
            Because: "Guests then wait for their turn even when little is going on.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where Limit.Notices(host.Processor.VcpuPerThread)
        select Info.On(
            Subject.Of(host.Host),
            $"Too many virtual processors on {host.Host.Name}",
            $"{host.Processor.Vcpu} given out on {Numbers.Count(host.Host.Processor.Threads, "thread")}: {Numbers.OneDecimal(host.Processor.VcpuPerThread.Value)} to each."
        );
}
