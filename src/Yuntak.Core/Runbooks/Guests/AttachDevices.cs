using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Hands the devices over that a guest needs, while it is off.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Needs">Devices its services need, in words, for which nothing is chosen.</param>
/// <param name="Devices">The devices that are handed over.</param>
/// <param name="Kind">How the guest is packaged.</param>
/// <param name="RunsIn">The guest whose engine runs it.</param>
internal sealed record AttachDevices(
    GuestId Guest,
    HostId? Host,
    ValueList<string> Needs,
    ValueList<HandedDevice> Devices,
    GuestKind Kind,
    GuestId? RunsIn
) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "attach-devices";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            .. base.Values,
            Value("needs", Needs),
            Value("devices", Devices.Select(d => d.Key)),
            Value("whole", Devices.Where(d => d.Way == ClaimWay.Whole).Select(d => d.Device)),
        ];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => [Guest];

    internal override Duration Takes(Plan plan) => new(10);

    internal override ActText Text(Plan plan)
    {
        var name = plan.NameOf(Guest);
        var whole = Devices.Any(d => d.Way == ClaimWay.Whole);
        return new(
            Devices.Count == 0 ? "Attach its devices"
                : Kind == GuestKind.AppStack ? "With the stack stopped, hand its devices in through the Compose file"
                : $"{(Kind == GuestKind.Machine ? "Shut it down" : "Stop it")} and hand its devices over",
            [
                .. Needs.Select(n => new StepValue("device", n)),
                .. Devices.SelectMany(d => Of(plan, d)),
                new("state while doing so", Kind == GuestKind.Machine ? "off; suspended is not off" : "stopped"),
            ],
            whole
                ? $"{plan.NameOf(Host)} still has its console, boot disk and network; {name} lists the device once it starts."
                : "The guest lists the device, and the host still has its own console, boot disk and network.",
            "Device busy? Another guest or the host itself holds it.",
            whole
                ? $"Shut {name} down, take the device away, and let its own driver have it again; without a way to reset it that takes a restart of {plan.NameOf(Host)}."
                : "Take the device away again while the guest is off.",
            Caution(plan)
        );
    }

    private IEnumerable<StepValue> Of(Plan plan, HandedDevice device)
    {
        yield return new(
            $"{device.Need.Words()}, {device.Way.Words()}",
            $"{device.Device} {plan.DeviceName(Host, device.Device)}",
            Literal: true
        );
        if (plan.Host(Host) is not { } host)
        {
            yield break;
        }

        var map = plan.MapOf(host);
        foreach (var along in ClaimCheck.On(plan.Draft, map).Of(plan.Guest(Guest)!, device.Need, device.Device, device.Way).AlsoMoves)
        {
            yield return new("goes along", $"{along} {plan.DeviceName(Host, along)}", Literal: true);
        }

        if (device.Way == ClaimWay.Node)
        {
            yield return new("from the host", ClaimLines.NodeOf(map, device.Need, device.Device), Literal: true);
            yield return new("inside", ClaimLines.Inside(map, device.Need, device.Device), Literal: true);
            if (RunsIn is { } outer)
            {
                yield return new(
                    "layers",
                    $"{host.Name} → {plan.NameOf(outer)} → {plan.NameOf(Guest)}: the first is a step of {plan.NameOf(outer)}"
                );
            }
        }

        foreach (var line in device.Lines(plan, Host, ClaimLayer.HandOver))
        {
            yield return line;
        }
    }

    private string? Caution(Plan plan)
    {
        if (plan.Host(Host) is not { } host)
        {
            return null;
        }

        var map = plan.MapOf(host);
        var moved = Devices
            .Where(d => d.Way == ClaimWay.Whole)
            .SelectMany(d => map.TrayOf(map.ControllerOf(d.Device))?.Moves ?? [])
            .ToList();
        return moved.Exists(f => f.ConsoleGraphics)
                ? $"{host.Name} is without a picture from then on. See first that you get in over the network after a restart."
            : moved.Exists(f => f.Reset is "")
                ? $"What is handed over cannot be reset: when the guest stops, {host.Name} may have to be started anew, with all that runs on it."
            : null;
    }

    internal override void Affect(SimHouse house, Plan plan)
    {
        house.ShutDown(Guest);
        var guest = house.OffGuest(Guest);
        guest.Devices = guest.Devices.Union(Devices.Select(d => d.Key));
    }

    internal override bool NeedsOff => true;
}
