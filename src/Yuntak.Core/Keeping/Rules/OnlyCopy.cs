using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>What exists nowhere else is copied.</summary>
internal sealed class OnlyCopy : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.only-copy",
            Severity.Stop,
            Station.Keeping,
            Says: "Bulk data and shared folders are in a job, or somebody said why not.",
            Because: "A volume that nobody ticked is missed on the day it is needed: it exists nowhere else.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from volume in keeping.InNoJob
            where lab.Lab.Jobs.Count > 0 && volume.Part != VolumePart.System
            select Info.On(
                KeepingFixes.SubjectOf(lab, volume),
                $"{Capital(volume.Words)} {(volume.Folder is null ? "are" : "is")} in no job",
                $"{volume.Size.ToDecimalString()} that exist nowhere else.",
                () => KeepingFixes.PutIn(keeping, volume)
            );
    }

    private static string Capital(string words) => words.Length == 0 ? words : char.ToUpperInvariant(words[0]) + words[1..];
}
