using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>A copy is whole.</summary>
internal sealed class CopySmall : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.copy-small",
            Severity.Stop,
            Station.Keeping,
            Says: "A whole copy is about as large as what is copied.",
            Because: "One that is a fraction of it is missing a volume.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from truth in KnownTruth.Of(keeping)
            where truth.Share is { } share && Limit.Notices(share)
            select Info.On(
                Subject.Of(truth.Guest),
                $"The copy of {truth.Guest.Name} is far too small",
                $"{truth.Largest!.Value.ToDecimalString()}, where the first copy of {truth.Expected.ToDecimalString()} belongs: a volume is not ticked where the copies are taken, or it broke off."
            );
    }

    private static readonly RuleLimit Limit = RuleLimit.Share(new Share(0.1), "of what is copied", LimitSide.Below);
}
