using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Bench.Rules;

/// <summary>A host keeps a tenth of its memory free.</summary>
internal sealed class MemoryTight : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.memory-tight",
            Severity.Mind,
            Station.Bench,
            Says: "No host commits more than 90 % of its memory.",
            Because: "Updates, backups and a busy day need some too.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where host.Memory.Share > MemoryBudget.TightShare && host.Memory.Share <= Share.All
        select Info.On(
            Subject.Of(host.Host),
            $"Memory on {host.Host.Name} is close",
            $"{host.Memory.Committed.Value} committed of {host.Memory.Total} ({host.Memory.Share}).",
            () => Relief.Memory(lab, host),
            host.Memory.Committed
        );
}
