using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Disks.Rules;

/// <summary>A folder that guests share lies in a pool that is there, and those who use it are there too.</summary>
internal sealed class FolderNowhere : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.folder-nowhere",
            Severity.Stop,
            Station.Disks,
            Says: "A folder that several guests use lies in a pool of a host, and is used by guests of the lab.",
            Because: "A guest that finds its folder empty fills the place where it should be mounted.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from folder in lab.Lab.Folders
        let host = lab.Lab.Host(folder.Host)
        let gone = folder.Uses.Where(u => lab.Lab.Guest(u.Guest) is null).ToList()
        where host?.PoolNamed(folder.Pool) is null || gone.Count > 0
        select Info.On(
            host is null ? Subject.Of(lab.Lab) : Subject.Of(host),
            $"The folder {folder.Name} has lost {(host?.PoolNamed(folder.Pool) is null ? "its pool" : "a guest that used it")}",
            host?.PoolNamed(folder.Pool) is null
                ? $"It is said to lie in {folder.Pool} on {host?.Name ?? folder.Host.Value}, and there is none."
                : $"{string.Join(", ", gone.Select(u => u.Guest.Value))} no longer in the lab.",
            () =>
                host?.PoolNamed(folder.Pool) is null
                    ? [new Fix($"Take the folder {folder.Name} out", FolderEdits.Remove(folder.Name))]
                    :
                    [
                        new Fix(
                            "Take them off the folder",
                            FolderEdits.Change(folder.Name, f => f with { Uses = [.. f.Uses.Where(u => !gone.Contains(u))] })
                        ),
                    ]
        );
}
