using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>What would have to be set up once more is copied.</summary>
internal sealed class InNoJob : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.in-no-job",
            Severity.Mind,
            Station.Keeping,
            Says: "Every system disk is in a job, or somebody said why not.",
            Because: "Without it the guest is set up by hand once more.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from volume in keeping.InNoJob
            where lab.Lab.Jobs.Count > 0 && volume.Part == VolumePart.System
            select Info.On(
                KeepingFixes.SubjectOf(lab, volume),
                $"{volume.Guest!.Name} is in no job",
                $"Its system disk, {volume.Size.ToDecimalString()}, is copied nowhere.",
                () => KeepingFixes.PutIn(keeping, volume).Concat(KeepingFixes.LeaveOut(keeping, volume))
            );
    }
}
