using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wants.Rules;

/// <summary>Some services run in a machine only.</summary>
internal sealed class MachineOnlyService : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.machine-only",
            Severity.Stop,
            Station.Wants,
            Says: "A service that brings its own system and faces the internet, such as a router, is a machine.",
            Because: "A container shares the host's kernel: it cannot bring its own, and what breaks out of it is on the host.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Guests
        where guest.Guest.Kind != GuestKind.Machine
        from profile in guest.Profiles
        where profile.MachineOnly
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} must be a machine",
            $"{Names.A(profile.Name, capital: true)} as {Names.A(guest.Guest.Kind.Words())} would share the host's kernel.",
            () =>
                [new Fix($"Make {guest.Guest.Name} a machine", GuestEdits.Change(guest.Guest.Id, g => g with { Kind = GuestKind.Machine }))]
        );
}
