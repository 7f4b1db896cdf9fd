using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Plugs a disk into a host that stands. What is on the disk stays as it is.</summary>
/// <param name="Host">The host.</param>
/// <param name="Disk">Its stable id.</param>
internal sealed record FitDisk(HostId Host, string Disk) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "fit-disk";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("disk", Disk)];

    internal override Duration Takes(Plan plan) => new(20);

    internal override ActText Text(Plan plan) =>
        new(
            "Plug a disk in",
            [.. plan.Seen(Host, [Disk]), new("power", "off, unless its bay is made for changing disks while running")],
            "lsblk shows it with its size, and smartctl calls it sound.",
            "Not there? Look at its cable, its bay and the controller's mode. It is there already? Then only the note here was old: tick it.",
            "Unplug it again.",
            "Unplug the mains before you open the host, and touch its metal."
        );

    internal override void Affect(SimHouse house, SimHost host, Plan plan) => host.Disks = host.Disks.Add(Disk);
}
