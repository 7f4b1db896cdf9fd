using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>What is kept is what was asked for.</summary>
internal sealed class KeepsLess : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.keeps-less",
            Severity.Mind,
            Station.Keeping,
            Says: "A retention leaves what is asked of it.",
            Because: "«The last four» of a daily job are four days: nobody notices a loss so soon.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from job in keeping.Jobs
            where job.Keep is not null && (job.Job.BackDays is not null || job.Job.DailyDays is not null)
            let leaves = RetentionWish.Leaves(job.Times, job.Keep!, job.Job.School)
            where leaves.Back < job.Job.BackDays || leaves.Daily < Math.Min(job.Job.DailyDays ?? 0, leaves.Back)
            select Info.On(
                Subject.Of(lab.Lab),
                $"The job {job.Job.Name} keeps less than is asked",
                $"{job.Keep} reaches back {Numbers.Count(leaves.Back, "day")} at worst, with every day for {leaves.Daily}; asked are {job.Job.BackDays ?? 0} and {job.Job.DailyDays ?? 0}.",
                () => KeepingFixes.KeepMore(job)
            );
    }
}
