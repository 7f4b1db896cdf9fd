using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Installs today's updates in a guest.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
internal sealed record UpdateGuest(GuestId Guest, HostId? Host) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "update-guest";

    internal override (double Least, double Most) Spread => OfInstalling;

    internal override Duration Takes(Plan plan) => new(5 / (plan.Host(Host)?.Speed ?? 1));

    internal override ActText Text(Plan plan) =>
        new(
            "Install today's updates",
            [
                StepValue.Ask("everyday user", "yours, with the right to become administrator when asked, and your key for remote log-in"),
                new("log-in of root", "off once that works"),
            ],
            "It says there is nothing more to update, and starts again cleanly.",
            "Try another source of updates, or wait an hour.",
            "Not needed: nothing depends on it yet."
        );

    internal override bool FromMirror => true;

    internal override void Affect(SimHouse house, Plan plan) => house.Start(Guest);
}
