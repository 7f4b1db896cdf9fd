using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.Intake;

/// <summary>USB buses and devices while they are put together from several outputs.</summary>
internal sealed class UsbDraft
{
    private readonly SortedDictionary<int, UsbBus> buses = [];
    private readonly Dictionary<string, Device> ports = new(StringComparer.Ordinal);
    private readonly Dictionary<(int Bus, int Dev), (string Id, string Name)> listed = [];

    public void AddBus(int number, string? controller = null, int? ports = null, int? speed = null)
    {
        var known = buses.GetValueOrDefault(number) ?? new UsbBus(number);
        buses[number] = known with
        {
            Controller = controller ?? known.Controller,
            Ports = ports ?? known.Ports,
            SpeedMbps = speed ?? known.SpeedMbps,
        };
    }

    /// <summary>A device by its port; false when it was known already, as a device with several functions is.</summary>
    public bool AddPort(int bus, int dev, string port, bool hub)
    {
        var added = Port(port, out var device);
        device.Number = (bus, dev);
        device.Hub |= hub;
        AddBus(bus);
        return added;
    }

    /// <summary>A device by its number, with its name; false when it was known already.</summary>
    public bool AddListed(int bus, int dev, string id, string name) =>
        listed.Count < IntakeLimits.MostThings && listed.TryAdd((bus, dev), (id, name.Length > 120 ? name[..120] : name));

    /// <summary>A device or bus by its path below /sys.</summary>
    public bool AddPath(SysLine line)
    {
        var bus = int.Parse(line.Value);
        var before = buses.GetValueOrDefault(bus)?.Controller;
        AddBus(bus, controller: line.Key);
        return line.Name.StartsWith("usb", StringComparison.Ordinal) ? before is null : Port(line.Name, out _);
    }

    /// <summary>A property of a device or bus.</summary>
    public void AddValue(SysLine line)
    {
        if (line.Name.StartsWith("usb", StringComparison.Ordinal))
        {
            if (int.TryParse(line.Name[3..], out var bus) && bus is > 0 and < 1000)
            {
                AddBus(
                    bus,
                    ports: line.Key == "maxchild" ? Whole(line.Value) : null,
                    speed: line.Key == "speed" ? Whole(line.Value) : null
                );
            }

            return;
        }

        if (!line.Name.Contains('-', StringComparison.Ordinal) || line.Name.Contains(':', StringComparison.Ordinal))
        {
            return;
        }

        Port(line.Name, out var device);
        switch (line.Key)
        {
            case "idVendor":
                device.Vendor = line.Value;
                break;
            case "idProduct":
                device.Product = line.Value;
                break;
            case "product":
                device.Name = Names.Clean(line.Value);
                break;
            case "maxchild":
                device.Hub |= Whole(line.Value) > 0;
                break;
            case "busnum":
                device.Number = (Whole(line.Value) ?? 0, device.Number.Dev);
                break;
            case "devnum":
                device.Number = (device.Number.Bus, Whole(line.Value) ?? 0);
                break;
            default:
                break;
        }
    }

    public ValueList<UsbBus> Buses() => [.. buses.Values.Take(256)];

    public ValueList<UsbDevice> Devices()
    {
        var named = ports.Select(p => Made(p.Key, p.Value)).ToList();
        var placed = ports.Values.Select(d => d.Number).ToHashSet();
        // A device of the list whose port nobody named still tells its bus, and with it its controller. Root hubs are device 1 of their bus.
        var loose = listed
            .Where(l => l.Key.Dev != 1 && !placed.Contains(l.Key))
            .Select(l => new UsbDevice($"{l.Key.Bus}-?{l.Key.Dev}", l.Value.Id, Named(l.Value.Name)));
        return [.. named.Concat(loose).OrderBy(d => d.Port, NaturalOrder.Comparer).Take(IntakeLimits.MostThings)];
    }

    private UsbDevice Made(string port, Device device)
    {
        var known = listed.GetValueOrDefault(device.Number);
        var id = device is { Vendor: { } v, Product: { } p } ? $"{v}:{p}".ToLowerInvariant() : known.Id;
        return new UsbDevice(port, id, Named(device.Name) ?? Named(known.Name), device.Hub);
    }

    private bool Port(string port, out Device device)
    {
        if (ports.TryGetValue(port, out device!))
        {
            return false;
        }

        device = new Device();
        return ports.Count < IntakeLimits.MostThings && ports.TryAdd(port, device);
    }

    private static string? Named(string? name) => string.IsNullOrWhiteSpace(name) ? null : name;

    private static int? Whole(string text) =>
        double.TryParse(text, CultureInfo.InvariantCulture, out var number) && number is >= 0 and < 1e6 ? (int)number : null;

    private sealed class Device
    {
        public (int Bus, int Dev) Number { get; set; }

        public string? Vendor { get; set; }

        public string? Product { get; set; }

        public string? Name { get; set; }

        public bool Hub { get; set; }
    }
}
