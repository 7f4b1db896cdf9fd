using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wants.Rules;

/// <summary>An application container keeps its data in a named folder outside.</summary>
internal sealed class NoDataFolder : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.no-data-folder",
            Severity.Stop,
            Station.Wants,
            Says: "Every app stack has a named folder for its data.",
            Because: "What is kept inside an application container is gone at the next update.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Guests.Select(g => g.Guest)
        where guest.Kind == GuestKind.AppStack && guest.Folders.Count == 0
        let folder = AppStacks.DefaultFolder(guest.Name)
        select Info.On(
            Subject.Of(guest),
            $"{guest.Name} would lose its data at the next update",
            "It has no named folder, so everything it writes lies inside its container.",
            () => [new Fix($"Keep it in {folder.HostPath}", GuestEdits.Change(guest.Id, g => g with { Folders = [folder] }))]
        );
}
