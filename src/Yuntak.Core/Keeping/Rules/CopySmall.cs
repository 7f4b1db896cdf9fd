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
            // A first run may have broken off, or still be under way; twice in a row is no chance.
            select (Info with { Severity = truth.Runs < 2 ? Severity.Mind : Severity.Stop }).On(
                Subject.Of(truth.Guest),
                $"The copy of {truth.Guest.Name} is far too small",
                $"{truth.Largest!.Value.ToDecimalString()}, where {truth.Expected.ToDecimalString()} of data are to be copied: a volume is not ticked where the copies are taken, or it broke off."
            );
    }

    private static readonly RuleLimit Limit = RuleLimit.Share(new Share(0.1), "of the data that are copied", LimitSide.Below);
}
