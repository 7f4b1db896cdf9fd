using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Bench.Rules;

/// <summary>The ceilings of all guests together stay within reason.</summary>
internal sealed class MemoryPromised : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(MemoryBudget.PromisedShare, "of the memory promised");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.memory-promised",
            Severity.Mind,
            Station.Bench,
            Says: "No host promises more than 130 % of its memory.",
            Because: "When all guests reach for what they were promised on the same day, some are stopped.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        let share = host.Memory.Promised.ShareOf(host.Memory.Total)
        where Limit.Notices(share)
        select Info.On(
            Subject.Of(host.Host),
            $"{host.Host.Name} promises more memory than it has",
            $"With every ceiling reached its guests would take {host.Memory.Promised} of {host.Memory.Total} ({share}).",
            () => Relief.Memory(lab, host),
            host.Memory.Committed
        );
}
