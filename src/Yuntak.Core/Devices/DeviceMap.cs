using Yuntak.Core.Kit;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices;

/// <summary>How the hardware of a host hangs together: groups as trays, USB devices by controller, what the host needs, and what was not read.</summary>
public sealed class DeviceMap
{
    private readonly Dictionary<string, DeviceTray> byAddress;

    private DeviceMap(Host host)
    {
        Host = host;
        var functions = host.Hardware.Functions;
        Trays =
        [
            // A function whose group was not read is a tray of its own, of which nobody knows what else is in it.
            .. functions
                .GroupBy(f => f.Group?.ToString() ?? f.Address, StringComparer.Ordinal)
                .Select(g => new DeviceTray(
                    g.First().Group,
                    [.. g],
                    [
                        .. g.Select(f => (f.Address, Why: HostNeeds.Of(host, f.Address)))
                            .Where(n => n.Why is not null)
                            .Select(n => new HostNeed(n.Address, n.Why!)),
                    ]
                ))
                .OrderBy(t => t.Group ?? int.MaxValue),
        ];
        byAddress = Trays
            .SelectMany(t => t.Functions.Select(f => (f.Address, t)))
            // A file may list an address twice; the first counts, as everywhere.
            .DistinctBy(f => f.Address, StringComparer.Ordinal)
            .ToDictionary(f => f.Address, f => f.t, StringComparer.Ordinal);
        Usb = [.. host.Hardware.UsbDevices.Select(d => UsbPlace.Of(host.Hardware, d))];
        Gaps = [.. GapsOf(host)];
    }

    /// <summary>The host.</summary>
    public Host Host { get; }

    /// <summary>Its isolation groups, by number.</summary>
    public IReadOnlyList<DeviceTray> Trays { get; }

    /// <summary>What is plugged into its USB ports.</summary>
    public IReadOnlyList<UsbPlace> Usb { get; }

    /// <summary>What was not read, and how to read it; one plain sentence each.</summary>
    public IReadOnlyList<string> Gaps { get; }

    /// <summary>The map of a host.</summary>
    public static DeviceMap Of(Host host) => new(host);

    /// <summary>The tray a function lies in; null when the host has no such function.</summary>
    public DeviceTray? TrayOf(string address) => byAddress.GetValueOrDefault(address);

    /// <summary>The USB devices that hang on a controller.</summary>
    public IEnumerable<UsbPlace> On(string controller) => Usb.Where(u => u.Controller == controller);

    private static IEnumerable<string> GapsOf(Host host)
    {
        var inside = host.Hardware;
        if (inside.Functions.Count == 0)
        {
            yield return "cards were not read: run the script on the host";
        }
        else if (inside.Isolation is not false && inside.Functions.All(f => f.Group is null))
        {
            yield return "isolation groups were not read: run the script as root";
        }

        if (inside.UsbDevices.Any(d => !d.Hub && inside.ControllerOf(d.Port) is null))
        {
            yield return "which controller a USB port belongs to was not read: run the script on the host";
        }
    }
}
