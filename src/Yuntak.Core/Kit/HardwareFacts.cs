using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using static Yuntak.Core.Kit.FactText;

namespace Yuntak.Core.Kit;

/// <summary>The facts of cards, USB buses and devices, and network ports.</summary>
internal static class HardwareFacts
{
    public static IEnumerable<KitFact> OfFunction(PciFunction function)
    {
        var thing = $"{KitParts.Cards}/{function.Address}";
        Func<Host, string, Host> Change(Func<PciFunction, string, PciFunction> change) =>
            (h, t) =>
                h.With(h.Hardware with { Functions = h.Hardware.Functions.Change(f => f.Address == function.Address, f => change(f, t)) });
        var known = PciClasses.Find(function.ClassCode);
        yield return new(thing, "address", "address", function.Address);
        yield return new(thing, "class", "class", known is null ? null : $"{known.Name} [{function.ClassCode}]");
        yield return new(thing, "name", "name", function.Name, Change((f, t) => f with { Name = Words(t) }));
        yield return new(thing, "ids", "vendor and device id", function.Ids);
        yield return new(thing, "slot", "slot", function.Slot, Change((f, t) => f with { Slot = Words(t) }), "as printed on the board");
        yield return new(thing, "group", "isolation group", function.Group?.ToString());
        yield return new(thing, "driver", "driver in use", function.Driver);
        yield return new(thing, "reset", "ways to reset it", function.Reset is { Length: 0 } ? "none" : function.Reset);
        yield return new(
            thing,
            "console",
            "shows the host's console",
            function.ConsoleGraphics.YesNo(),
            Change((f, t) => f with { ConsoleGraphics = Answer(t) ?? false }),
            Choices: YesNo
        );
        if (function.IsGraphics)
        {
            yield return new(
                thing,
                "encode",
                "video it can encode, Mpx/s",
                function.EncodeMegapixels?.ToString("0.##"),
                Change((f, t) => f with { EncodeMegapixels = Number(t, "video it can encode") }),
                "measured, or from its maker",
                OnlySaid: true
            );
        }
    }

    public static IEnumerable<KitFact> OfBus(UsbBus bus)
    {
        var thing = $"{KitParts.Usb}/{bus.Number}";
        yield return new(thing, "bus", "bus", $"{bus.Number}");
        yield return new(thing, "controller", "controller", bus.Controller);
        yield return new(
            thing,
            "ports",
            "ports",
            bus.Ports?.ToString(),
            (h, t) =>
                h.With(
                    h.Hardware with
                    {
                        UsbBuses = h.Hardware.UsbBuses.Change(
                            b => b.Number == bus.Number,
                            b => b with { Ports = Whole(t, "ports", 1, 127) }
                        ),
                    }
                )
        );
        yield return new(thing, "speed", "line rate", bus.SpeedMbps is { } mbps ? DataRate.FromMbps(mbps).ToString() : null);
    }

    public static IEnumerable<KitFact> OfUsb(Host host, UsbDevice device)
    {
        var thing = $"{KitParts.Usb}/{device.Port}";
        Func<Host, string, Host> Change(Func<UsbDevice, string, UsbDevice> change) =>
            (h, t) => h.With(h.Hardware with { UsbDevices = h.Hardware.UsbDevices.Change(d => d.Port == device.Port, d => change(d, t)) });
        yield return new(thing, "port", "port", device.Port);
        yield return new(thing, "controller", "controller", host.Hardware.ControllerOf(device.Port));
        yield return new(thing, "name", "name", device.Name, Change((d, t) => d with { Name = Words(t) }));
        yield return new(thing, "id", "vendor and product id", device.Id);
        yield return new(
            thing,
            "battery",
            "links the battery backup",
            device.BatteryLink.YesNo(),
            Change((d, t) => d with { BatteryLink = Answer(t) ?? false }),
            Choices: YesNo
        );
    }

    public static IEnumerable<KitFact> OfPort(NetworkPort port)
    {
        var thing = $"{KitParts.Network}/{port.Name}";
        Func<Host, string, Host> Change(Func<NetworkPort, string, NetworkPort> change) =>
            (h, t) => h.With(h.Hardware with { Ports = h.Hardware.Ports.Change(p => p.Name == port.Name, p => change(p, t)) });
        yield return new(thing, "name", "port", port.Name);
        yield return new(thing, "mac", "hardware address", port.Mac);
        yield return new(
            thing,
            "speed",
            "speed of the link, Mbit/s",
            port.SpeedMbps?.ToString(),
            Change((p, t) => p with { SpeedMbps = Whole(t, "speed", 1, 10_000_000) }),
            "1000"
        );
        yield return new(thing, "up", "link up", port.Up.YesNo());
        yield return new(thing, "addresses", "addresses", Listed(port.Addresses));
        yield return new(thing, "function", "on the bus at", port.Function);
        yield return new(
            thing,
            "management",
            "the host is looked after through it",
            port.Management.YesNo(),
            Change((p, t) => p with { Management = Answer(t) ?? false }),
            Choices: YesNo
        );
    }

    public static IEnumerable<KitFact> OfMeasurements(Hardware inside)
    {
        foreach (var heat in inside.Temperatures)
        {
            var limit = heat.High is { } high ? $", limit {high:0} °C" : "";
            yield return new(KitParts.Heat, heat.Where, heat.Where, $"{heat.Celsius:0.#} °C{limit}");
        }

        foreach (var speed in inside.DiskSpeeds)
        {
            var way = string.Join(' ', new[] { speed.Pattern, speed.Block }.Where(w => w is not null));
            var read = Rate("read", speed.Read, speed.ReadsPerSecond);
            var write = Rate("write", speed.Write, speed.WritesPerSecond);
            yield return new(
                KitParts.DiskSpeed,
                speed.Job,
                $"{speed.Job}{(way.Length > 0 ? $" ({way})" : "")}",
                string.Join(", ", new[] { read, write }.Where(r => r is not null))
            );
        }

        foreach (var speed in inside.LinkSpeeds)
        {
            yield return new(KitParts.LinkSpeed, $"{speed.From} {speed.To}", $"{speed.From} → {speed.To}", speed.Goodput.ToString());
        }
    }

    private static string? Rate(string word, DataRate? rate, double? each) =>
        rate is { } known ? $"{word} {known.ToBytesString()}{(each is { } n ? $", {n:#,##0} a second" : "")}" : null;
}
