using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices;

/// <summary>How the hardware of a host hangs together: groups as trays, USB devices by controller, what the host needs, and what was not read.</summary>
public sealed class DeviceMap
{
    private readonly Dictionary<string, DeviceTray> byAddress;
    private readonly Dictionary<string, UsbPlace> byPort;
    private readonly ILookup<string, UsbPlace> byController;

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
        byPort = Usb.DistinctBy(u => u.Device.Port, StringComparer.Ordinal).ToDictionary(u => u.Device.Port, StringComparer.Ordinal);
        byController = Usb.Where(u => u.Controller is not null).ToLookup(u => u.Controller!, StringComparer.Ordinal);
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

    /// <summary>What is plugged into a USB port; null for a free port and for what is no port.</summary>
    public UsbPlace? At(string port) => byPort.GetValueOrDefault(port);

    /// <summary>The USB devices that hang on a controller.</summary>
    public IEnumerable<UsbPlace> On(string controller) => byController[controller];

    /// <summary>What a device is called, with where it is.</summary>
    public string NameOf(string device) =>
        At(device) is { } usb ? $"{usb.Device.Name ?? usb.Device.Id ?? "what is"} at port {device}"
        : Host.Hardware.Function(device) is { } function ? $"{function.Name ?? PciClasses.KindOf(function.ClassCode)} at {device}"
        : device;

    /// <summary>The need a device would meet: by its class where it is a function, by what it calls itself where it is a USB device.</summary>
    public DeviceNeed NeedOf(string device) =>
        At(device) is { } usb ? DeviceSorts.NeedOf(usb.Device) : DeviceSorts.NeedOf(Host.Hardware.Function(device));

    /// <summary>What a device is called, without where it is; empty when nothing says so.</summary>
    internal string CalledAt(string device) =>
        At(device) is { } usb ? usb.Device.Name ?? usb.Device.Id ?? ""
        : Host.Hardware.Function(device) is { } function ? function.Name ?? PciClasses.KindOf(function.ClassCode)
        : "";

    /// <summary>The controller a device hangs on; the device itself when it is a function.</summary>
    internal string ControllerOf(string device) => At(device)?.Controller ?? device;

    /// <summary>Whether a device goes along when another one is handed over whole: it lies in the same group, or hangs on a controller that does.</summary>
    /// <param name="whole">The function, or a USB device in whose place its controller goes.</param>
    /// <param name="device">The device that may go along.</param>
    internal bool GoesAlong(string whole, string device)
    {
        var (taken, asked) = (ControllerOf(whole), ControllerOf(device));
        return taken == asked || (TrayOf(taken) is { } tray && ReferenceEquals(tray, TrayOf(asked)));
    }

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
