using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Sees on the host that a device is ready to be handed over: the driver and its tools where the host keeps it, the address or port noted where it goes.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Devices">The devices.</param>
internal sealed record PrepareDevices(GuestId Guest, HostId? Host, ValueList<HandedDevice> Devices) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "prepare-devices";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("devices", Devices.Select(d => d.Key))];

    internal override bool Serves => true;

    internal override Duration Takes(Plan plan) => new(Devices.Any(d => d.Way == ClaimWay.Node) ? 15 : 5);

    internal override ActText Text(Plan plan)
    {
        var host = plan.NameOf(Host);
        var shared = Devices.Any(d => d.Way == ClaimWay.Node);
        return new(
            shared
                ? $"On {host}: install the driver and its tools, and look at the node"
                : $"On {host}: look at the device, and note where it is",
            [
                .. Devices.SelectMany(d =>
                    new[] { new StepValue("device", plan.DeviceName(Host, d.Device)) }.Concat(d.Lines(plan, Host, ClaimLayer.Host))
                ),
            ],
            shared ? "A driver of its own has it, and its nodes are listed: of graphics a card node and a render node."
                : Devices.Any(d => d.Way is ClaimWay.Whole or ClaimWay.Slice)
                    ? "It is where the plan says, and nothing is in its group but what the plan says goes along."
                : "It is where the plan says.",
            shared
                ? "No driver, or one that only shows a picture? Install the card's driver and firmware packages on the host, start it anew, and look again. Do not go on without: nothing would convert."
                : "Something else in that place? Read the host again and correct the claim before you hand anything over.",
            "Nothing is changed for anybody yet."
        );
    }

    internal override void Affect(SimHouse house, Plan plan) => house.Host(Host);
}
