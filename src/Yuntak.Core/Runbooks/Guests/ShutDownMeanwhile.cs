using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Shuts a guest down until its own turn comes, to let another through.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">The host it stands on.</param>
internal sealed record ShutDownMeanwhile(GuestId Guest, HostId? Host) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "shut-down-meanwhile";

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => [Guest];

    internal override bool NeedsOff => true;

    internal override Duration Takes(Plan plan) => new(3);

    internal override ActText Text(Plan plan) =>
        new(
            $"Shut {plan.NameOf(Guest)} down for a while, to make room",
            [
                new("guest", plan.NameOf(Guest)),
                new("state", "off; suspended is not off"),
                new("start with the host", "off until its own turn comes"),
            ],
            $"{plan.NameOf(Host)} lists it as off, and its memory is free.",
            "If it will not shut down, use its own shut-down command at the console.",
            "Start it again, and set its start with the host on."
        );

    internal override void Affect(SimHouse house, Plan plan)
    {
        house.ShutDown(Guest);
        house.OffGuest(Guest).Held = true;
    }
}
