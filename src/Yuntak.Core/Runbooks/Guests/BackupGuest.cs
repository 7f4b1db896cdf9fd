using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes a backup of a guest that stands, before something is done to it.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">The host it stands on.</param>
internal sealed record BackupGuest(GuestId Guest, HostId? Host) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "backup-guest";

    internal override bool Serves => true;

    internal override Duration Takes(Plan plan) => new(15);

    internal override ActText Text(Plan plan) =>
        new(
            $"Take a backup of {plan.AsBuilt.Guest(Guest)?.Name ?? plan.NameOf(Guest)}, or make sure there is one younger than a day",
            [],
            "It is there, complete, and on another host.",
            "Do not go on without it.",
            "None needed."
        );
}
