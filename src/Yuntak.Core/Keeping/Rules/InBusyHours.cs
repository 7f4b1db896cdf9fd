using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>Copies are taken while it is quiet.</summary>
internal sealed class InBusyHours : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.in-busy-hours",
            Severity.Mind,
            Station.Keeping,
            Says: "A guest is not copied in its busy hours.",
            Because: "It answers slowly, or not at all, just when people want it.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from job in keeping.Jobs
            from at in BusyHours.Of(keeping, job).Take(1)
            select Info.On(
                Subject.Of(at.Guest),
                $"The job {job.Job.Name} copies {at.Guest.Name} in its busy hours",
                $"It begins {job.Times.Words()}; {at.Guest.Name} is busy at {Numbers.Hour(at.Hour)}.",
                () => KeepingFixes.Quieter(keeping, job)
            );
    }
}
