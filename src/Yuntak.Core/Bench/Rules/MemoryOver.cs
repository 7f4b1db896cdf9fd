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
    private static readonly RuleLimit Limit = RuleLimit.Share(Share.All, "of the memory, with the read cache at its floor");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.memory-over",
            Severity.Stop,
            Station.Bench,
            Says: "No host commits more memory than it has.",
            Because: "The last guest does not start, or the kernel ends one that is running.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where host.Memory.Hard > host.Memory.Total
        select Info.On(
            Subject.Of(host.Host),
            $"{host.Host.Name} has too little memory",
            $"{host.Memory.Hard} cannot yield, of {host.Memory.Total}: {ByteSize.Zero - host.Memory.Spare} too much.",
            () => Relief.Memory(lab, host),
            host.Memory.Committed
        );
}
