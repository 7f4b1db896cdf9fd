using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Holds a service that moved against what it was, item by item, and keeps the old one for a week.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
internal sealed record CheckItems(GuestId Guest, HostId? Host) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "check-items";

    internal override bool Serves => true;

    internal override Duration Takes(Plan plan) => new(30);

    internal override ActText Text(Plan plan) =>
        new(
            "Hold it against the old one, item by item",
            [
                new(
                    "look at",
                    "accounts, history, shared links, add-ons one by one (one in twenty does not come across), a file of each sort"
                ),
                new("licences", "sign them in here"),
                new("switch on again", "cleaning up and what empties trash, once all is there"),
                new("keep the old one", "off and untouched, until the new one has run for a week"),
            ],
            "Everything that was there is there, and somebody who uses it says so.",
            "Something is missing? The old one is still whole: stop the new one, and archive and lay in again.",
            "Stop the new one and start the old one; tell people that what they did since is gone."
        );

    internal override void Affect(SimHouse house, Plan plan) => house.RunningGuest(Guest);
}
