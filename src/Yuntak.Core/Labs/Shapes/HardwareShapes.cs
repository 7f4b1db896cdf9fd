using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of what is inside a host besides processor, memory and disks.</summary>
public static class HardwareShapes
{
    private const double Most = 1e15;
    private static readonly Codec<string> Text = Codecs.Text(200);
    private static readonly Codec<double> Celsius = Codecs.Number(-60, 200);
    private static readonly Codec<double> Amount = Codecs.Number(0, Most);

    /// <summary>What a disk says of its health.</summary>
    public static readonly Shape<DiskHealth> Health = new(
        "disk health",
        new DiskHealth(),
        Of<DiskHealth>.Maybe(
            "passed",
            nameof(DiskHealth.Passed),
            "own test passed",
            Codecs.Flag(),
            h => h.Passed,
            (h, v) => h with { Passed = v }
        ),
        Of<DiskHealth>.Maybe(
            "reallocated",
            nameof(DiskHealth.ReallocatedSectors),
            "reallocated sectors",
            Codecs.Count((long)Most),
            h => h.ReallocatedSectors,
            (h, v) => h with { ReallocatedSectors = v }
        ),
        Of<DiskHealth>.Maybe(
            "pending",
            nameof(DiskHealth.PendingSectors),
            "pending sectors",
            Codecs.Count((long)Most),
            h => h.PendingSectors,
            (h, v) => h with { PendingSectors = v }
        ),
        Of<DiskHealth>.Maybe(
            "wear",
            nameof(DiskHealth.WearPercent),
            "wear",
            Codecs.Number(0, 1000, p => Numbers.Percent(p / 100)),
            h => h.WearPercent,
            (h, v) => h with { WearPercent = v }
        ),
        Of<DiskHealth>
            .Maybe("celsius", nameof(DiskHealth.Celsius), "temperature", Celsius, h => h.Celsius, (h, v) => h with { Celsius = v })
            .IsSilent()
    );

    private static readonly Shape<MemorySlot> Slot = new(
        "memory slot",
        new MemorySlot("", null),
        Of<MemorySlot>.Always("name", nameof(MemorySlot.Name), "name", Text, "", s => s.Name, (s, v) => s with { Name = v }),
        Of<MemorySlot>
            .Maybe("size", nameof(MemorySlot.Size), "", Codecs.Size(Prefixes.Binary), s => s.Size, (s, v) => s with { Size = v })
            .NoneIs("free")
    );

    private static readonly Shape<PciFunction> Function = new(
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
        )
    );

    private static readonly Shape<UsbBus> Bus = new(
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

    private static readonly Shape<UsbDevice> Usb = new(
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

    private static readonly Shape<NetworkPort> Port = new(
        "network port",
        new NetworkPort(""),
        Of<NetworkPort>.Always("name", nameof(NetworkPort.Name), "name", Text, "", p => p.Name, (p, v) => p with { Name = v }),
        Of<NetworkPort>.MaybeText("mac", nameof(NetworkPort.Mac), "hardware address", Text, p => p.Mac, (p, v) => p with { Mac = v }),
        Of<NetworkPort>.Maybe(
            "speed",
            nameof(NetworkPort.SpeedMbps),
            "speed",
            new Speed(),
            p => p.SpeedMbps,
            (p, v) => p with { SpeedMbps = v }
        ),
        Of<NetworkPort>.Maybe("up", nameof(NetworkPort.Up), "link up", Codecs.Flag(), p => p.Up, (p, v) => p with { Up = v }).IsSilent(),
        Of<NetworkPort>.MaybeText(
            "function",
            nameof(NetworkPort.Function),
            "on the bus at",
            Text,
            p => p.Function,
            (p, v) => p with { Function = v }
        ),
        new ListOf<NetworkPort, string>(
            "addresses",
            nameof(NetworkPort.Addresses),
            "addresses",
            Text,
            p => p.Addresses,
            (p, v) => p with { Addresses = v }
        ),
        Of<NetworkPort>.Value(
            "wireless",
            nameof(NetworkPort.Wireless),
            "wireless",
            Codecs.Flag(),
            false,
            p => p.Wireless,
            (p, v) => p with { Wireless = v }
        ),
        Of<NetworkPort>.Value(
            "management",
            nameof(NetworkPort.Management),
            "is for looking after the host",
            Codecs.Flag(),
            false,
            p => p.Management,
            (p, v) => p with { Management = v }
        )
    );

    private static readonly Shape<Bridge> Bridge = new(
        "bridge",
        new Bridge(""),
        Of<Bridge>.Always("name", nameof(Labs.Bridge.Name), "name", Text, "", b => b.Name, (b, v) => b with { Name = v }),
        new ListOf<Bridge, string>("ports", nameof(Labs.Bridge.Ports), "joins", Text, b => b.Ports, (b, v) => b with { Ports = v }),
        new ListOf<Bridge, string>(
            "addresses",
            nameof(Labs.Bridge.Addresses),
            "addresses",
            Text,
            b => b.Addresses,
            (b, v) => b with { Addresses = v }
        )
    );

    private static readonly Shape<Temperature> Temperature = new(
        "temperature",
        new Temperature("", 0),
        Of<Temperature>.Always("where", nameof(Labs.Temperature.Where), "sensor", Text, "", t => t.Where, (t, v) => t with { Where = v }),
        Of<Temperature>.Always(
            "celsius",
            nameof(Labs.Temperature.Celsius),
            "temperature",
            Celsius,
            0,
            t => t.Celsius,
            (t, v) => t with { Celsius = v }
        ),
        Of<Temperature>.Maybe("high", nameof(Labs.Temperature.High), "limit", Celsius, t => t.High, (t, v) => t with { High = v })
    );

    private static readonly Shape<DiskSpeed> DiskSpeed = new(
        "disk speed",
        new DiskSpeed(""),
        Of<DiskSpeed>.Always("job", nameof(Labs.DiskSpeed.Job), "job", Text, "", s => s.Job, (s, v) => s with { Job = v }),
        Of<DiskSpeed>.MaybeText(
            "pattern",
            nameof(Labs.DiskSpeed.Pattern),
            "pattern",
            Text,
            s => s.Pattern,
            (s, v) => s with { Pattern = v }
        ),
        Of<DiskSpeed>.MaybeText("block", nameof(Labs.DiskSpeed.Block), "block", Text, s => s.Block, (s, v) => s with { Block = v }),
        Of<DiskSpeed>
            .Maybe("read", nameof(Labs.DiskSpeed.Read), "read", Amount, s => s.Read?.BytesPerSecond, (s, v) => s with { Read = Rate(v) })
            .Explained("bytes a second"),
        Of<DiskSpeed>.Maybe(
            "reads",
            nameof(Labs.DiskSpeed.ReadsPerSecond),
            "reads a second",
            Amount,
            s => s.ReadsPerSecond,
            (s, v) => s with { ReadsPerSecond = v }
        ),
        Of<DiskSpeed>
            .Maybe(
                "write",
                nameof(Labs.DiskSpeed.Write),
                "write",
                Amount,
                s => s.Write?.BytesPerSecond,
                (s, v) => s with { Write = Rate(v) }
            )
            .Explained("bytes a second"),
        Of<DiskSpeed>.Maybe(
            "writes",
            nameof(Labs.DiskSpeed.WritesPerSecond),
            "writes a second",
            Amount,
            s => s.WritesPerSecond,
            (s, v) => s with { WritesPerSecond = v }
        )
    );

    private static readonly Shape<LinkSpeed> LinkSpeed = new(
        "link speed",
        new LinkSpeed("", "", default),
        Of<LinkSpeed>.Always("from", nameof(Labs.LinkSpeed.From), "from", Text, "", s => s.From, (s, v) => s with { From = v }),
        Of<LinkSpeed>.Always("to", nameof(Labs.LinkSpeed.To), "to", Text, "", s => s.To, (s, v) => s with { To = v }),
        Of<LinkSpeed>
            .Value(
                "goodput",
                nameof(Labs.LinkSpeed.Goodput),
                "goodput",
                Amount,
                0,
                s => s.Goodput.BitsPerSecond,
                (s, v) => s with { Goodput = new DataRate(v) }
            )
            .Explained("bits a second")
    );

    private static readonly Shape<BatteryState> Battery = new(
        "battery",
        new BatteryState(),
        Of<BatteryState>.Maybe(
            "charge",
            nameof(BatteryState.ChargePercent),
            "charge",
            Codecs.Number(0, 1000),
            b => b.ChargePercent,
            (b, v) => b with { ChargePercent = v }
        ),
        Of<BatteryState>.Maybe(
            "load",
            nameof(BatteryState.LoadPercent),
            "load",
            Codecs.Number(0, 1000),
            b => b.LoadPercent,
            (b, v) => b with { LoadPercent = v }
        ),
        Of<BatteryState>.Maybe(
            "minutes",
            nameof(BatteryState.RuntimeMinutes),
            "minutes",
            Codecs.Number(0, 1e6),
            b => b.RuntimeMinutes,
            (b, v) => b with { RuntimeMinutes = v }
        ),
        Of<BatteryState>.Maybe(
            "watts",
            nameof(BatteryState.Watts),
            "watts",
            Codecs.Number(0, 1e6),
            b => b.Watts,
            (b, v) => b with { Watts = v }
        )
    );

    private static readonly Shape<Firmware> Firmware = new(
        "firmware",
        new Firmware(),
        Of<Firmware>.Maybe("date", nameof(Labs.Firmware.Date), "of", Codecs.Day, f => f.Date, (f, v) => f with { Date = v }),
        Of<Firmware>.MaybeText("version", nameof(Labs.Firmware.Version), "version", Text, f => f.Version, (f, v) => f with { Version = v }),
        Of<Firmware>.MaybeText("board", nameof(Labs.Firmware.Board), "board", Text, f => f.Board, (f, v) => f with { Board = v })
    );

    /// <summary>Everything inside a host. What is measured anew each time is no difference.</summary>
    public static readonly Shape<Hardware> Inside = new(
        "inside",
        Hardware.None,
        Of<Hardware>.Maybe(
            "isolation",
            nameof(Hardware.Isolation),
            "isolation",
            Codecs.Flag(onOff: true),
            h => h.Isolation,
            (h, v) => h with { Isolation = v }
        ),
        new Parts<Hardware, MemorySlot>(
            "memory-slots",
            nameof(Hardware.MemorySlots),
            "memory slot",
            () => Slot,
            s => s.Name,
            h => h.MemorySlots,
            (h, v) => h with { MemorySlots = v }
        ),
        new Parts<Hardware, PciFunction>(
            "functions",
            nameof(Hardware.Functions),
            "",
            () => Function,
            f => f.Address,
            h => h.Functions,
            (h, v) => h with { Functions = v }
        )
        {
            Words = Words,
            Before = f => f.Address,
            Instead = (was, now) =>
                was.ClassCode.Length > 0 && (was.ClassCode, was.Ids) != (now.ClassCode, now.Ids)
                    ? $"at {now.Address}: {Words(was)} → {Words(now)}"
                    : null,
        },
        new Parts<Hardware, UsbBus>(
            "usb-buses",
            nameof(Hardware.UsbBuses),
            "USB bus",
            () => Bus,
            b => $"{b.Number}",
            h => h.UsbBuses,
            (h, v) => h with { UsbBuses = v }
        ),
        new Parts<Hardware, UsbDevice>(
            "usb",
            nameof(Hardware.UsbDevices),
            "USB",
            () => Usb,
            d => d.Port + d.Id,
            h => h.UsbDevices,
            (h, v) => h with { UsbDevices = v }
        )
        {
            Words = d => $"USB {d.Name ?? d.Id ?? "device"} at port {d.Port}",
            Before = d => $"USB port {d.Port}",
        },
        new Parts<Hardware, NetworkPort>(
            "network",
            nameof(Hardware.Ports),
            "network port",
            () => Port,
            p => p.Name,
            h => h.Ports,
            (h, v) => h with { Ports = v }
        ),
        new Parts<Hardware, Bridge>(
            "bridges",
            nameof(Hardware.Bridges),
            "bridge",
            () => Bridge,
            b => b.Name,
            h => h.Bridges,
            (h, v) => h with { Bridges = v }
        ),
        new Parts<Hardware, Temperature>(
            "temperatures",
            nameof(Hardware.Temperatures),
            "temperature",
            () => Temperature,
            t => t.Where,
            h => h.Temperatures,
            (h, v) => h with { Temperatures = v }
        ).IsSilent(),
        new Parts<Hardware, DiskSpeed>(
            "disk-speeds",
            nameof(Hardware.DiskSpeeds),
            "disk speed",
            () => DiskSpeed,
            s => s.Job,
            h => h.DiskSpeeds,
            (h, v) => h with { DiskSpeeds = v }
        ).IsSilent(),
        new Parts<Hardware, LinkSpeed>(
            "link-speeds",
            nameof(Hardware.LinkSpeeds),
            "link speed",
            () => LinkSpeed,
            s => $"{s.From} {s.To}",
            h => h.LinkSpeeds,
            (h, v) => h with { LinkSpeeds = v }
        ).IsSilent(),
        new Part<Hardware, BatteryState>(
            "battery",
            nameof(Hardware.Battery),
            "battery",
            () => Battery,
            h => h.Battery,
            (h, v) => h with { Battery = v }
        ).IsSilent(),
        new Part<Hardware, Firmware>(
            "firmware",
            nameof(Hardware.Firmware),
            "firmware",
            () => Firmware,
            h => h.Firmware,
            (h, v) => h with { Firmware = v }
        )
        {
            Otherwise = _ => new Firmware(),
        }
    );

    private static string Words(PciFunction f) => $"{PciClasses.KindOf(f.ClassCode)} {(f.Name is null ? "" : f.Name + " ")}at {f.Address}";

    private static DataRate? Rate(double? bytes) => bytes is { } known ? DataRate.FromBytes(known) : null;

    /// <summary>A speed in Mbit/s, said as links are spoken of.</summary>
    private sealed class Speed : Codec<int>
    {
        private static readonly Codec<int> Plain = Codecs.Whole(1, 10_000_000);

        public override string Expects => Plain.Expects;

        public override System.Text.Json.Nodes.JsonNode Write(int value) => Plain.Write(value);

        public override bool TryRead(string text, out int value) => Plain.TryRead(text, out value);

        public override bool Within(int value) => Plain.Within(value);

        public override string Say(int value) => DataRate.FromMbps(value).ToString();

        public override System.Text.Json.Nodes.JsonObject Schema() => Plain.Schema();
    }
}
