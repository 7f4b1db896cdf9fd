using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>A database is stopped or written out before it is copied.</summary>
internal sealed class DatabaseBySnapshot : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.database-by-snapshot",
            Severity.Mind,
            Station.Keeping,
            Says: "A guest with a database is stopped for its backup, or writes the database out first.",
            Because: "A snapshot of a database that is being written may not open again, or lacks the last changes.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from sizing in lab.Guests
            where !sizing.IsThrowAway && KeepingRules.WithDatabase.Any(sizing.Follows)
            let parts = keeping
                .Jobs.SelectMany(j => j.Job.Takes.Where(p => p.Guest == sizing.Guest.Id && IsTaken(p)).Select(p => (Job: j, Part: p)))
                .ToList()
            where parts.Count > 0 && parts.TrueForAll(p => p is { Part.Kind: PartKind.Whole, Job.Job.Mode: CopyMode.Snapshot })
            let jobs = parts.Select(p => p.Job.Job.Name).Distinct().ToList()
            select Info.On(
                Subject.Of(sizing.Guest),
                $"{sizing.Guest.Name} has a database and is copied by snapshot only",
                $"{string.Join(" and ", jobs)} {(jobs.Count == 1 ? "copies" : "copy")} it while it runs. Let it write its database out first, stop it for the backup, or add the archive of the service.",
                () => [new Fix($"{jobs[0]}: application dump first", KeepingEdits.ChangeJob(jobs[0], j => j with { Mode = CopyMode.Dump }))]
            );
    }

    private static bool IsTaken(JobPart part) => part.Kind != PartKind.Whole || part.Without.Count < 2;
}
