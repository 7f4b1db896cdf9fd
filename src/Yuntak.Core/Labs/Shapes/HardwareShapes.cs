using System.Text.Json.Nodes;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of what is inside a host besides processor, memory and disks.</summary>
internal static class HardwareShapes
{
    private static readonly Codec<string> Text = Codecs.Text(200);

    private const double Most = 1e15;

    private static readonly Codec<double> Celsius = Codecs.Number(-60, 200);
    private static readonly Codec<double> Amount = Codecs.Number(0, Most);

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
        new Parts<Hardware, Mount>(
            "mounts",
            nameof(Hardware.Mounts),
            "mount",
            () => StandingShapes.Mount,
            m => m.Target,
            h => h.Mounts,
            (h, v) => h with { Mounts = v }
        ).IsSilent(),
        new Parts<Hardware, FoundPool>(
            "found",
            nameof(Hardware.Found),
            "pool found",
            () => StandingShapes.Found,
            p => p.Name,
            h => h.Found,
            (h, v) => h with { Found = v }
        ).IsSilent(),
        new Parts<Hardware, Listener>(
            "listeners",
            nameof(Hardware.Listeners),
            "listener",
            () => StandingShapes.Listener,
            l => $"{l.Protocol} {l.Address} {l.Port}",
            h => h.Listeners,
            (h, v) => h with { Listeners = v }
        ).IsSilent(),
        new Parts<Hardware, Running>(
            "runs",
            nameof(Hardware.Runs),
            "what runs",
            () => StandingShapes.Running,
            r => r.Group,
            h => h.Runs,
            (h, v) => h with { Runs = v }
        ).IsSilent(),
        Of<Hardware>.Maybe(
            "isolation",
            nameof(Hardware.Isolation),
            "isolation",
            Codecs.Flag(onOff: true),
            h => h.Isolation,
            (h, v) => h with { Isolation = v }
        ),
        Of<Hardware>.Maybe(
            "groups-split",
            nameof(Hardware.GroupsSplit),
            "isolation groups split by a kernel switch",
            Codecs.Flag(),
            h => h.GroupsSplit,
            (h, v) => h with { GroupsSplit = v }
        ),
        new Parts<Hardware, MemorySlot>(
            "memory-slots",
            nameof(Hardware.MemorySlots),
            "memory slot",
            () => DeviceShapes.Slot,
            s => s.Name,
            h => h.MemorySlots,
            (h, v) => h with { MemorySlots = v }
        ),
        new Parts<Hardware, PciFunction>(
            "functions",
            nameof(Hardware.Functions),
            "",
            () => DeviceShapes.Function,
            f => f.Address,
            h => h.Functions,
            (h, v) => h with { Functions = v }
        )
        {
            Words = DeviceShapes.Words,
            Before = f => f.Address,
            Instead = (was, now) =>
                was.ClassCode.Length > 0 && (was.ClassCode, was.Ids) != (now.ClassCode, now.Ids)
                    ? $"at {now.Address}: {DeviceShapes.Words(was)} → {DeviceShapes.Words(now)}"
                    : null,
        },
        new Parts<Hardware, UsbBus>(
            "usb-buses",
            nameof(Hardware.UsbBuses),
            "USB bus",
            () => DeviceShapes.Bus,
            b => $"{b.Number}",
            h => h.UsbBuses,
            (h, v) => h with { UsbBuses = v }
        ),
        new Parts<Hardware, UsbDevice>(
            "usb",
            nameof(Hardware.UsbDevices),
            "USB",
            () => DeviceShapes.Usb,
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
            () => NetworkShapes.Port,
            p => p.Name,
            h => h.Ports,
            (h, v) => h with { Ports = v }
        ),
        new Parts<Hardware, Bridge>(
            "bridges",
            nameof(Hardware.Bridges),
            "bridge",
            () => NetworkShapes.Bridge,
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
            () => NetworkShapes.LinkSpeed,
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

    private static DataRate? Rate(double? bytes) => bytes is { } known ? DataRate.FromBytes(known) : null;
}
