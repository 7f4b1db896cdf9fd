using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes devices away from a guest that stands, so that the host or another guest can have them.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Devices">The devices.</param>
internal sealed record DetachDevices(GuestId Guest, HostId? Host, ValueList<HandedDevice> Devices) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "detach-devices";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("devices", Devices.Select(d => d.Key))];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => [Guest];

    internal override Duration Takes(Plan plan) => new(5);

    internal override ActText Text(Plan plan) =>
        new(
            "Shut it down and take its devices away",
            [
                .. Devices.SelectMany(d =>
                    new[] { new StepValue("device", $"{d.Device} {plan.DeviceName(Host, d.Device)}", Literal: true) }.Concat(
                        d.Lines(plan, Host, ClaimLayer.Back)
                    )
                ),
                new("state", "off; suspended is not off"),
            ],
            $"{plan.NameOf(Host)} lists the device with its own driver again, or nobody's.",
            $"Not back? It may not be resettable: start {plan.NameOf(Host)} anew at an hour when nobody minds.",
            "Hand it over again while the guest is off."
        );

    internal override void Affect(SimHouse house, Plan plan)
    {
        house.ShutDown(Guest);
        var guest = house.OffGuest(Guest);
        guest.Devices = guest.Devices.Except(Devices.Select(d => d.Key));
    }

    internal override bool NeedsOff => true;
}
