using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Attaches the devices a guest needs.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Needs">Devices its services need, in words.</param>
/// <param name="Whole">Functions of its host that are handed to it whole.</param>
/// <param name="Machine">Whether it is a machine.</param>
internal sealed record AttachDevices(GuestId Guest, HostId? Host, ValueList<string> Needs, ValueList<string> Whole, bool Machine)
    : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "attach-devices";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("needs", Needs), Value("whole", Whole)];

    internal override Duration Takes(Plan plan) => new(10);

    internal override ActText Text(Plan plan)
    {
        var hardware = plan.Host(Host)?.Hardware ?? Hardware.None;
        return new(
            "Attach its devices",
            [
                .. Needs.Select(n => new StepValue("device", n)),
                .. Whole.Select(d => new StepValue("handed over whole", $"{d} {hardware.Function(d)?.Name}".TrimEnd(), Literal: true)),
                new("state while doing so", Machine ? "off" : "stopped"),
            ],
            "The guest lists the device, and the host still has its own console, boot disk and network.",
            "Device busy? Another guest or the host itself holds it.",
            "Take the device away again while the guest is off."
        );
    }
}
