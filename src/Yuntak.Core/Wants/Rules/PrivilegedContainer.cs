using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wants.Rules;

/// <summary>A system container stays unprivileged.</summary>
internal sealed class PrivilegedContainer : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.privileged-container",
            Severity.Mind,
            Station.Wants,
            Says: "A system container is unprivileged: root inside it is nobody on the host.",
            Because: "Root in a privileged one is root on the host: whoever breaks in there has everything.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Guests
        where guest.Guest is { Privileged: true, Kind: GuestKind.SystemContainer }
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} is a privileged container",
            Why(guest),
            () =>
                [
                    new Fix("Make it unprivileged", GuestEdits.Change(guest.Guest.Id, g => g with { Privileged = false })),
                    new Fix("Make it a machine", GuestEdits.Change(guest.Guest.Id, g => g with { Kind = GuestKind.Machine })),
                ]
        );

    /// <summary>What it is probably privileged for, and how that is had without.</summary>
    private static string Why(Sizing guest) =>
        guest.Inner.Count > 0 || guest.Follows(ProfileBook.AppEngine)
            ? $"An app engine runs in it{(guest.Inner.Count > 0 ? $" for {string.Join(", ", guest.Inner.Select(i => i.Guest.Name))}" : "")}: whatever breaks out of a stack is root on {guest.Guest.Name}'s host. Nesting works unprivileged too; a machine keeps it apart."
        : guest.Leading.Needs.Count > 0
            ? $"Devices are easier to map that way ({guest.Leading.Needs[0]}). Unprivileged it needs the group of the device mapped; network shares are mounted on the host and handed in."
        : "Nothing it does needs that. Devices and network shares, the usual reasons, are handed in by the host; or make it a machine.";
}
