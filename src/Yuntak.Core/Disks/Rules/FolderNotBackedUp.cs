using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Disks.Rules;

/// <summary>A folder that several guests use is backed up by one of them.</summary>
internal sealed class FolderNotBackedUp : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.folder-not-backed-up",
            Severity.Mind,
            Station.Disks,
            Says: "A folder that several guests use is backed up by one of them, and by one only.",
            Because: "Nobody takes along what everybody thinks another does; taken along by all of them it takes many times the room.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from folder in lab.Lab.Folders
        where folder.Uses.Count > 0 && (folder.BackedUpBy is not { } owner || lab.Lab.Guest(owner) is null)
        let host = lab.Lab.Host(folder.Host)
        where host is not null
        select Info.On(
            Subject.Of(host),
            $"Nobody's backup takes the folder {folder.Name} along",
            $"{folder.Size.ToDecimalString()} in {folder.Pool}, used by {string.Join(", ", folder.Uses.Select(u => lab.Lab.Guest(u.Guest)?.Name ?? u.Guest.Value))}. Say which one's backup it belongs to.",
            () =>
                folder
                    .Uses.Where(u => lab.Lab.Guest(u.Guest) is not null)
                    .Select(u => new Fix(
                        $"With {lab.Lab.Guest(u.Guest)!.Name}",
                        FolderEdits.Change(folder.Name, f => f with { BackedUpBy = u.Guest })
                    ))
        );
}
