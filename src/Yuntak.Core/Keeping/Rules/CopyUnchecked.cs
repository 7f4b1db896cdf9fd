using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>Copies were read back.</summary>
internal sealed class CopyUnchecked : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.copy-unchecked",
            Severity.Mind,
            Station.Keeping,
            Says: "The newest copy that is old enough was read back.",
            Because: "Disks forget quietly.",
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
            where truth.Newest is not null && truth.CheckedDays is { } days ? Limit.Notices(days) : truth.Newest is not null
            select Info.On(
                Subject.Of(truth.Guest),
                $"The copies of {truth.Guest.Name} in {truth.Job.Job.Store} were not read back",
                truth.CheckedDays is { } days
                    ? $"The last time was {Numbers.Count(days, "day")} ago."
                    : "As far as the list of the store says, never."
            );
    }

    private static readonly RuleLimit Limit = new(KeepingRules.CheckDays, "days", "since a copy was last read back");
}
