using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>The copies are there.</summary>
internal sealed class CopyMissing : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.copy-missing",
            Severity.Mind,
            Station.Keeping,
            Says: "What a job should have copied by now is there.",
            Because: "A plan is no copy.",
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
            where truth.Newest is null || Limit.Notices(truth.MissedTimes)
            select Info.On(
                Subject.Of(truth.Guest),
                truth.Newest is null
                    ? $"There is no copy of {truth.Guest.Name} in {truth.Job.Job.Store}"
                    : $"The newest copy of {truth.Guest.Name} in {truth.Job.Job.Store} is too old",
                truth.Newest is { } copy
                    ? $"It is of {copy.At.Replace('T', ' ')}; the job {truth.Job.Job.Name} copies {truth.Job.Times.Words()}."
                    : $"The job {truth.Job.Job.Name} copies {truth.Job.Times.Words()}, and the list of the store has none."
            );
    }

    private static readonly RuleLimit Limit = new(2, "times", "a job should have run since the newest copy");
}
