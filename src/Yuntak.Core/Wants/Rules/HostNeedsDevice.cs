using Yuntak.Core.Bench;
using Yuntak.Core.Devices;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wants.Rules;

/// <summary>What the host itself needs stays with it, whatever lies in one isolation group with it.</summary>
internal sealed class HostNeedsDevice : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.host-needs-device",
            Severity.Stop,
            Station.Wants,
            Says: "No isolation group is handed over that holds what the host itself needs: the controller of its boot disk or of a pool, its management port, the link of its battery backup.",
            Because: "A group moves as a whole. The host would lose its disks, its way in, or the word of its battery backup.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where host.Guests.Any(g => g.Guest.HandedWhole.Any())
        let map = DeviceMap.Of(host.Host)
        from guest in host.Guests.Select(g => g.Guest)
        from device in guest.HandedWhole
        let needs = map.TrayOf(map.Host.Hardware.ControllerOf(device) ?? device)?.NeededByHost ?? []
        where needs.Count > 0
        select Info.On(
            Subject.Of(guest),
            $"{host.Host.Name} needs what {guest.Name} is handed with {device}",
            $"{string.Join("; ", needs.Select(n => $"{n.What}: {n.Why}"))}.",
            () =>
                [
                    new Fix(
                        "Leave it with the host",
                        GuestEdits.Change(
                            guest.Id,
                            g =>
                                g with
                                {
                                    Devices = g.Devices.Without(d => d == device),
                                    Claims = g.Claims.Change(c => c.Device == device, c => c with { Device = null, Way = null }),
                                }
                        )
                    ),
                ]
        );
}
