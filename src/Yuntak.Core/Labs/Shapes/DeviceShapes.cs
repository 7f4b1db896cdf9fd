using System.Text.Json.Nodes;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of what is plugged into a host: slots, PCI functions, USB buses and devices.</summary>
internal static class DeviceShapes
{
    private static readonly Codec<string> Text = Codecs.Text(200);

    internal static readonly Shape<MemorySlot> Slot = new(
        "memory slot",
        new MemorySlot("", null),
        Of<MemorySlot>.Always("name", nameof(MemorySlot.Name), "name", Text, "", s => s.Name, (s, v) => s with { Name = v }),
        Of<MemorySlot>
            .Maybe("size", nameof(MemorySlot.Size), "", Codecs.Size(Prefixes.Binary), s => s.Size, (s, v) => s with { Size = v })
            .NoneIs("free")
    );

    internal static readonly Shape<PciFunction> Function = new(
        "function on the bus",
        new PciFunction("", ""),
        Of<PciFunction>.Always(
            "address",
            nameof(PciFunction.Address),
            "address",
            Text,
            "",
            f => f.Address,
            (f, v) => f with { Address = v }
        ),
        Of<PciFunction>
            .Value("class", nameof(PciFunction.ClassCode), "class", Text, "", f => f.ClassCode, (f, v) => f with { ClassCode = v })
            .LeftOutWhen((_, _) => false),
        Of<PciFunction>.MaybeText("name", nameof(PciFunction.Name), "name", Text, f => f.Name, (f, v) => f with { Name = v }),
        Of<PciFunction>.MaybeText("ids", nameof(PciFunction.Ids), "ids", Text, f => f.Ids, (f, v) => f with { Ids = v }),
        Of<PciFunction>.Maybe(
            "group",
            nameof(PciFunction.Group),
            "isolation group",
            Codecs.Whole(0, 100_000),
            f => f.Group,
            (f, v) => f with { Group = v }
        ),
        Of<PciFunction>
            .MaybeText("driver", nameof(PciFunction.Driver), "driver", Text, f => f.Driver, (f, v) => f with { Driver = v })
            .NoneIs("none"),
        // No way to reset it is an answer too, and is written as an empty text.
        new ScalarOf<PciFunction, string>(
            "reset",
            nameof(PciFunction.Reset),
            "reset",
            Text,
            f => f.Reset is { } ways ? (true, ways) : (false, ""),
            (f, v) => f with { Reset = v.Has ? v.Value : null }
        ),
        Of<PciFunction>
            .MaybeText("slot", nameof(PciFunction.Slot), "slot", Text, f => f.Slot, (f, v) => f with { Slot = v })
            .NoneIs("none"),
        Of<PciFunction>.Value(
            "console",
            nameof(PciFunction.ConsoleGraphics),
            "shows the console",
            Codecs.Flag(),
            false,
            f => f.ConsoleGraphics,
            (f, v) => f with { ConsoleGraphics = v }
        ),
        Of<PciFunction>.Maybe(
            "encode",
            nameof(PciFunction.EncodeMegapixels),
            "video it can encode, Mpx/s",
            Codecs.Number(0, 1e9),
            f => f.EncodeMegapixels,
            (f, v) => f with { EncodeMegapixels = v }
        ),
        Of<PciFunction>.Maybe(
            "slices",
            nameof(PciFunction.Slices),
            "slices it can be cut into",
            Codecs.Whole(0, 65_535),
            f => f.Slices,
            (f, v) => f with { Slices = v }
        )
    );

    internal static readonly Shape<UsbBus> Bus = new(
        "USB bus",
        new UsbBus(1),
        Of<UsbBus>.Always(
            "number",
            nameof(UsbBus.Number),
            "number",
            Codecs.Whole(1, 1000),
            1,
            b => b.Number,
            (b, v) => b with { Number = v }
        ),
        Of<UsbBus>.MaybeText(
            "controller",
            nameof(UsbBus.Controller),
            "belongs to",
            Text,
            b => b.Controller,
            (b, v) => b with { Controller = v }
        ),
        Of<UsbBus>.Maybe("ports", nameof(UsbBus.Ports), "ports", Codecs.Whole(0, 255), b => b.Ports, (b, v) => b with { Ports = v }),
        Of<UsbBus>.Maybe(
            "speed",
            nameof(UsbBus.SpeedMbps),
            "line rate",
            Codecs.Whole(0, 1_000_000),
            b => b.SpeedMbps,
            (b, v) => b with { SpeedMbps = v }
        )
    );

    internal static readonly Shape<UsbDevice> Usb = new(
        "USB device",
        new UsbDevice(""),
        Of<UsbDevice>.Always("port", nameof(UsbDevice.Port), "port", Text, "", d => d.Port, (d, v) => d with { Port = v }),
        Of<UsbDevice>.MaybeText("id", nameof(UsbDevice.Id), "id", Text, d => d.Id, (d, v) => d with { Id = v }),
        Of<UsbDevice>.MaybeText("name", nameof(UsbDevice.Name), "holds", Text, d => d.Name, (d, v) => d with { Name = v }),
        Of<UsbDevice>.Value("hub", nameof(UsbDevice.Hub), "is a hub", Codecs.Flag(), false, d => d.Hub, (d, v) => d with { Hub = v }),
        Of<UsbDevice>.Value(
            "battery-link",
            nameof(UsbDevice.BatteryLink),
            "links the battery backup",
            Codecs.Flag(),
            false,
            d => d.BatteryLink,
            (d, v) => d with { BatteryLink = v }
        )
    );

    internal static string Words(PciFunction f) => $"{PciClasses.KindOf(f.ClassCode)} {(f.Name is null ? "" : f.Name + " ")}at {f.Address}";
}
