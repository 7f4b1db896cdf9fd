using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Bench.Rules;

/// <summary>A host keeps a tenth of its memory free.</summary>
internal sealed class MemoryTight : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(MemoryBudget.TightShare, "of the memory, with the read cache that is wanted");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.memory-tight",
            Severity.Mind,
            Station.Bench,
            Says: "No host commits more than 90 % of its memory.",
            Because: "Updates, backups and a busy day need some too.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where Limit.Notices(host.Memory.Share) && host.Memory.Hard <= host.Memory.Total
        select Info.On(
            Subject.Of(host.Host),
            $"Memory on {host.Host.Name} is close",
            $"{host.Memory.Committed.Value} committed of {host.Memory.Total} ({host.Memory.Share})."
                + (host.Memory.Share > Share.All ? " The read cache has to yield: everything fits, and reading gets slower." : ""),
            () => Relief.Memory(lab, host),
            host.Memory.Committed
        );
}
