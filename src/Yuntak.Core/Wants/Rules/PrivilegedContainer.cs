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
            "People do it for network mounts inside. Mount on the host and hand the folder in, or make it a machine.",
            () =>
                [
                    new Fix("Make it unprivileged", GuestEdits.Change(guest.Guest.Id, g => g with { Privileged = false })),
                    new Fix("Make it a machine", GuestEdits.Change(guest.Guest.Id, g => g with { Kind = GuestKind.Machine })),
                ]
        );
}
