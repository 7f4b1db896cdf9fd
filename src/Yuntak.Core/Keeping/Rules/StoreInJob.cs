using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>Copies are not copied by a job.</summary>
internal sealed class StoreInJob : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.store-in-job",
            Severity.Stop,
            Station.Keeping,
            Says: "A store is in no job.",
            Because: "Copies of copies grow without end, and a store that writes itself into itself never ends.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from job in keeping.Jobs
            from segment in job.Segments
            where segment.Volume is { Part: VolumePart.Bulk } volume && keeping.IsStore(volume)
            select Info.On(
                Subject.Of(segment.Volume!.Guest!),
                $"The job {job.Job.Name} copies the store of {segment.Volume.Guest!.Name}",
                $"{segment.Size.ToDecimalString()} of copies would be copied once more.",
                () => [new Fix("Untick it", KeepingFixes.Out(keeping, job.Job.Name, segment.Volume, "it is where copies lie"))]
            );
    }
}
