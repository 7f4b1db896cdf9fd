using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Installs the system of a new host. Wipes the disk it goes onto.</summary>
/// <param name="Host">The host.</param>
/// <param name="Onto">The stable id of that disk; null while nobody knows.</param>
/// <param name="Twin">The stable id of the second disk of a mirrored boot; null without one.</param>
internal sealed record InstallHost(HostId Host, string? Onto, string? Twin = null) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "install-host";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [.. base.Values, Value("onto", Onto), .. Twin is null ? [] : new[] { Value("twin", Twin) }];

    /// <inheritdoc/>
    public override IReadOnlyList<string> Wipes => [.. new[] { Onto, Twin }.OfType<string>()];

    internal override (double Least, double Most) Spread => OfInstalling;

    internal override Duration Takes(Plan plan) => new(15 + (15 / plan.Host(Host)!.Speed));

    internal override ActText Text(Plan plan)
    {
        var host = plan.Host(Host)!;
        var boot = Onto is null ? null : plan.Disk(Host, Onto);
        var twin = Twin is null ? null : plan.Disk(Host, Twin);
        var others = host.Disks.Where(d => d.Id != boot?.Id && d.Id != Twin && d.Kind is not (DiskKind.Usb or DiskKind.Card));
        return new(
            boot is null ? "Install onto the boot disk" : $"Install onto {boot.Id}",
            [
                new("name", Names.Slug(host.Name), Literal: true),
                boot is null
                    ? new("install onto", "the disk kept for the host; add it to the kit to see it here by its stable id")
                    : Plan.Seen(boot, "install onto"),
                .. twin is null
                    ? []
                    : new[]
                    {
                        Plan.Seen(twin, "and onto, as a mirror"),
                        new StepValue("boot entry", "on both disks, so that it starts from either"),
                    },
                .. others.Select(d => Plan.Seen(d, "leave alone")),
                new("passwords", "your own, kept in two places; no default account stays on"),
            ],
            boot is null ? "The host starts from its disk." : $"lsblk -o NAME,SIZE,MOUNTPOINTS,WWN shows / on {boot.Id}.",
            "The installer shows no such disk? Look at its controller's mode in the firmware. Two of one size? Compare the serial numbers, unplug the others if in doubt.",
            "Install again; nothing is on it yet.",
            boot is null
                ? "Installing wipes the disk it goes onto. Choose it by model and serial number, not by its letter."
                : plan.WipeWords(Host, Wipes)
                    + (
                        host.WasRead
                            ? " Its own tools were read, so a system runs on it: if that is the one to keep, install nothing, and tick this step."
                            : ""
                    )
        );
    }

    internal override bool FromMirror => true;

    internal override void Affect(SimHouse house, SimHost host, Plan plan)
    {
        foreach (var disk in Wipes)
        {
            house.Wipe(Host, disk);
        }
    }
}
