using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Installs today's updates in a guest.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
internal sealed record UpdateGuest(GuestId Guest, HostId? Host) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "update-guest";

    internal override Duration Takes(Plan plan) => new(5);

    internal override ActText Text(Plan plan) =>
        new(
            "Install today's updates",
            [],
            "It says there is nothing more to update, and starts again cleanly.",
            "Try another source of updates, or wait an hour.",
            "Not needed: nothing depends on it yet."
        );
}
