using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>A store has one copy of each.</summary>
internal sealed class TwiceInStore : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.twice",
            Severity.Mind,
            Station.Keeping,
            Says: "Nothing is copied twice into one store.",
            Because: "It takes the disks and the room twice and is no safer.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from volume in keeping.Twice
            from jobs in keeping.WholeJobsOf(volume).GroupBy(j => j.Job.Store)
            where jobs.Count() > 1
            let names = jobs.Select(j => j.Job.Name).ToList()
            select Info.On(
                KeepingFixes.SubjectOf(lab, volume),
                $"{names.Count} jobs copy {volume.Words} into {jobs.Key}",
                $"{string.Join(" and ", names)} both take {volume.Size.ToDecimalString()}.",
                () =>
                    names
                        .Skip(1)
                        .Select(name => new Fix($"Leave it to {names[0]}", KeepingFixes.Out(keeping, name, volume)))
                        .Take(names.Count == 2 ? 1 : 0)
            );
    }
}
