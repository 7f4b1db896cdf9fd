using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Proves at each layer that a guest has its devices and can use them.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Devices">The devices.</param>
/// <param name="Kind">How the guest is packaged.</param>
/// <param name="RunsIn">The guest whose engine runs it.</param>
internal sealed record ProveDevices(GuestId Guest, HostId? Host, ValueList<HandedDevice> Devices, GuestKind Kind, GuestId? RunsIn)
    : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "prove-devices";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("devices", Devices.Select(d => d.Key))];

    internal override bool Serves => true;

    internal override Duration Takes(Plan plan) => new(5);

    internal override ActText Text(Plan plan)
    {
        var (host, guest) = (plan.NameOf(Host), plan.NameOf(Guest));
        var shared = Devices.Any(d => d.Way == ClaimWay.Node);
        return new(
            $"With {guest} started, see that it really has its devices",
            [
                .. shared ? Layer($"on {host}", plan, ClaimLayer.Host) : [],
                .. RunsIn is { } outer ? Layer($"in {plan.NameOf(outer)}", plan, ClaimLayer.Guest) : [],
                .. Layer(
                    $"in {guest}",
                    plan,
                    RunsIn is null && Kind != GuestKind.AppStack ? ClaimLayer.Guest
                        : shared ? ClaimLayer.App
                        : ClaimLayer.Guest
                ),
                .. Uses().Select(u => new StepValue("used", u)),
            ],
            "Each layer lists it, and it is used: a list alone proves nothing.",
            Devices.Any(d => d.Way == ClaimWay.Whole)
                    ? $"Not there? Shut it down, hand it over once more and start it; still not there, take it back and look at {host}'s own log."
                : shared ? "There on the host and not inside? That layer does not map it. There and refused? Its group is not mapped."
                : $"Not there? See with lsusb that {host} still lists it and that no other guest has it, shut {guest} down and hand it over once more.",
            Devices.Any(d => d.Way is ClaimWay.Whole or ClaimWay.Slice)
                ? $"Shut {guest} down and give the device back; where it cannot be reset, start {host} anew at an hour when nobody minds."
                : "Take it away again while the guest is off."
        );
    }

    private IEnumerable<StepValue> Layer(string where, Plan plan, ClaimLayer layer) =>
        Devices.SelectMany(d => d.Lines(plan, Host, layer)).Distinct().Select(v => v with { Label = $"{where}: {v.Label}" });

    /// <summary>What shows that it is really used, by what it is needed for; common practice.</summary>
    private IEnumerable<string> Uses() =>
        Devices
            .Select(d => d.Need)
            .Distinct()
            .Select(need =>
                need switch
                {
                    DeviceNeed.RadioStick => "the service reaches one radio device, such as a lamp or a sensor",
                    DeviceNeed.VideoEncoder =>
                        "once the service is in, a film that is converted plays while the processor stays below one core",
                    DeviceNeed.AiAccelerator =>
                        "once the service is in, it tells how long a look takes; milliseconds, not a tenth of a second",
                    DeviceNeed.DiskController => "the guest lists the disks with their serial numbers",
                    DeviceNeed.NetworkPort => "the guest has a link on it: ip -br link",
                    DeviceNeed.SerialAdapter => "something comes in when the other end speaks",
                    DeviceNeed.Sound => "a sound is heard",
                    DeviceNeed.Other => "what it is for works",
                }
            );

    internal override void Affect(SimHouse house, Plan plan) => house.Start(Guest);

    internal override bool Starts => true;

    internal override IEnumerable<Proof> Proofs(Plan plan) =>
        [.. base.Proofs(plan), new Proof("", h => Devices.All(d => h.Guest(Guest).Devices.Contains(d.Key)))];
}
