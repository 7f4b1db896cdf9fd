using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Installs the system of a new host. Wipes the disk it goes onto.</summary>
/// <param name="Host">The host.</param>
/// <param name="Onto">The stable id of that disk; null while nobody knows.</param>
internal sealed record InstallHost(HostId Host, string? Onto) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "install-host";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("onto", Onto)];

    /// <inheritdoc/>
    public override IReadOnlyList<string> Wipes => Onto is null ? [] : [Onto];

    internal override Duration Takes(Plan plan) => new(30);

    internal override ActText Text(Plan plan)
    {
        var host = plan.Host(Host)!;
        var boot = Onto is null ? null : plan.Disk(Host, Onto);
        var others = host.Disks.Where(d => d.Id != boot?.Id && d.Kind is not (DiskKind.Usb or DiskKind.Card));
        return new(
            boot is null ? "Install onto the boot disk" : $"Install onto {boot.Id}",
            [
                new("name", Names.Slug(host.Name), Literal: true),
                boot is null
                    ? new("install onto", "the disk kept for the host; add it to the kit to see it here by its stable id")
                    : Plan.Seen(boot, "install onto"),
                .. others.Select(d => Plan.Seen(d, "leave alone")),
                new("passwords", "your own, kept in two places; no default account stays on"),
            ],
            boot is null ? "The host starts from its disk." : $"lsblk -o NAME,SIZE,MOUNTPOINTS,WWN shows / on {boot.Id}.",
            "The installer shows no such disk? Look at its controller's mode in the firmware. Two of one size? Compare the serial numbers, unplug the others if in doubt.",
            "Install again; nothing is on it yet.",
            boot is null
                ? "Installing wipes the disk it goes onto. Choose it by model and serial number, not by its letter."
                : plan.WipeWords(Host, [boot.Id])
                    + (
                        host.WasRead
                            ? " Its own tools were read, so a system runs on it: if that is the one to keep, install nothing, and tick this step."
                            : ""
                    )
        );
    }
}
