using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Bench.Rules;

/// <summary>No host commits more memory than it has.</summary>
internal sealed class MemoryOver : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.memory-over",
            Severity.Stop,
            Station.Bench,
            Says: "No host commits more memory than it has.",
            Because: "The last guest does not start, or the kernel ends one that is running.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where host.Memory.Fit == Fit.Over
        select Info.On(
            Subject.Of(host.Host),
            $"{host.Host.Name} has too little memory",
            $"{host.Memory.Committed.Value} committed of {host.Memory.Total}: {ByteSize.Zero - host.Memory.Spare} too much.",
            () => Relief.Memory(lab, host),
            host.Memory.Committed
        );
}
