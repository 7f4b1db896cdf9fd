using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>Silence is noticed.</summary>
internal sealed class NobodyTold : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.nobody-told",
            Severity.Mind,
            Station.Keeping,
            Says: "Somebody is told when a job fails, and when nothing is heard of it.",
            Because: "A job that stopped months ago is noticed on the day it is needed.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from job in keeping.Jobs
            where job.Job.Told == ToldWhen.Never || (job.Job.Told == ToldWhen.Failure && job.Job.SilentDays is null)
            select Info.On(
                Subject.Of(lab.Lab),
                job.Job.Told == ToldWhen.Never
                    ? $"Nobody is told how {job.Job.Name} went"
                    : $"Nobody notices when {job.Job.Name} is silent",
                "A job that does not run reports no failure. To a person, by two ways.",
                () =>
                    [
                        new Fix(
                            "Tell of failures, and of silence after 3 days",
                            KeepingEdits.ChangeJob(
                                job.Job.Name,
                                j =>
                                    j with
                                    {
                                        Told = ToldWhen.Failure,
                                        SilentDays = Math.Max(3, (int)Math.Ceiling(job.Times.LongestGapHours / 24 * 2)),
                                    }
                            )
                        ),
                    ]
            );
    }
}
