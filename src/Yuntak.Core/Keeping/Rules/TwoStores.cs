using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>A volume is read once.</summary>
internal sealed class TwoStores : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.two-stores",
            Severity.Note,
            Station.Keeping,
            Says: "What is copied into several stores is read once and carried on from store to store.",
            Because: "Each job reads the disks again; an onward copy does not.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from volume in keeping.Twice
            let stores = keeping.WholeJobsOf(volume).Select(j => j.Job.Store).Distinct().ToList()
            where stores.Count > 1
            select Info.On(
                KeepingFixes.SubjectOf(lab, volume),
                $"Several jobs read {volume.Words}",
                $"They go into {string.Join(" and ", stores)}. One job and an onward copy read it once."
            );
    }
}
