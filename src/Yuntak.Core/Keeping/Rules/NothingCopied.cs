using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>Something is copied at all.</summary>
internal sealed class NothingCopied : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.none",
            Severity.Mind,
            Station.Keeping,
            Says: "What would be missed is copied by some job.",
            Because: "Disks die, and fingers slip; a mirror mirrors both.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        var missed = keeping.Volumes.Where(v => !keeping.MayBeLost(v)).ToList();
        return lab.Lab.Jobs.Count > 0 || missed.Count == 0
            ? []
            :
            [
                Info.On(
                    Subject.Of(lab.Lab),
                    "Nothing is copied, as far as is known",
                    $"{Numbers.Count(missed.Count, "volume")} with {missed.Aggregate(ByteSize.Zero, (sum, v) => sum + v.Size).ToDecimalString()} would be missed. Say which jobs there are, or plan one.",
                    () => KeepingFixes.Begin(keeping)
                ),
            ];
    }
}
