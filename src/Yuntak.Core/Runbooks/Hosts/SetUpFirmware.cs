using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Sets the firmware up: up to date, virtualisation and isolation on, power on after a cut, the boot disk first.</summary>
/// <param name="Host">The host.</param>
/// <param name="BootFrom">The stable id of the disk it is to start from; null while nobody knows.</param>
internal sealed record SetUpFirmware(HostId Host, string? BootFrom) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "set-up-firmware";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("bootFrom", BootFrom)];

    internal override Duration Takes(Plan plan) => new(20);

    internal override ActText Text(Plan plan)
    {
        var known = plan.Host(Host)!.Hardware.Firmware;
        return new(
            "Set the firmware up",
            [
                known is { Date: { } date }
                    ? new(
                        "firmware now",
                        $"{date:O}{(known.Version is null ? "" : $", version {known.Version}")}; bring it up to date first"
                    )
                    : new("firmware", "bring it up to date first"),
                new("virtualisation", "on"),
                new("I/O isolation", "on"),
                new("after a power cut", "power on"),
                new("boot from", plan.Host(Host)!.Type == HostType.StickStore ? "the stick" : BootDisk.Named(plan, Host, BootFrom)),
            ],
            "lscpu shows a line that begins with «Virtualization», and /sys/kernel/iommu_groups is not empty, once something runs on it.",
            "Some firmware hides the switches on the processor, chipset or security page. The readiness list of the host says what to look for.",
            "Load the firmware's defaults.",
            "Unplug the mains before you open the case. Two people for a rack or a tower on a shelf. Never cut the power while firmware is installed. Wiring and batteries are for licensed people; local codes apply."
        );
    }

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }
}
