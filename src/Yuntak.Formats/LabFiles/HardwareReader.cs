using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Formats.LabFiles;

/// <summary>Builds what is inside a host, and where it is known from, from its part of a lab file.</summary>
internal static class HardwareReader
{
    private const double Most = 1e15;

    public static Hardware Read(NodeReader map)
    {
        var hardware = new Hardware(
            [.. map.Maps("memory-slots").Select(Slot)],
            [.. map.Maps("functions").Select(Function)],
            [.. map.Maps("usb-buses").Select(Bus)],
            [.. map.Maps("usb").Select(Usb)],
            [.. map.Maps("network").Select(Port)],
            [.. map.Maps("bridges").Select(Bridge)],
            [.. map.Maps("temperatures").Select(Temperature)],
            [.. map.Maps("disk-speeds").Select(DiskSpeed)],
            [.. map.Maps("link-speeds").Select(LinkSpeed)],
            map.Map("battery") is { } battery ? Battery(battery) : null,
            map.Map("firmware") is { } firmware ? Firmware(firmware) : null,
            map.Flag("isolation")
        );
        map.Done();
        return hardware;
    }

    public static DiskHealth Health(NodeReader map) =>
        Whole(
            map,
            new DiskHealth(
                map.Flag("passed"),
                Count(map, "reallocated"),
                Count(map, "pending"),
                map.Number("wear", 0, 1000),
                map.Number("celsius", -60, 200)
            )
        );

    public static ReadinessCheck? Check(NodeReader map)
    {
        var item = map.Text("item", needed: true);
        var on = map.Day("on", needed: true);
        return Whole(map, item is not null && on is { } day ? new ReadinessCheck(item, day) : null);
    }

    public static FactNote Note(NodeReader map) =>
        Whole(
            map,
            new FactNote(
                map.Text("fact", needed: true) ?? "?",
                map.Word("origin", LabFileNames.Origins, Core.Figures.Origin.Entered, needed: true),
                map.Text("text") ?? "",
                map.Day("on")
            )
        );

    private static MemorySlot Slot(NodeReader map) => Whole(map, new MemorySlot(Name(map, "name"), map.Size("size", Prefixes.Binary)));

    private static PciFunction Function(NodeReader map) =>
        Whole(
            map,
            new PciFunction(
                Name(map, "address"),
                map.Text("class") ?? "",
                map.Text("name"),
                map.Text("ids"),
                map.Whole("group", 0, 100_000),
                map.Text("driver"),
                map.Text("reset"),
                map.Text("slot"),
                map.Flag("console") ?? false,
                map.Number("encode", 0, 1e9)
            )
        );

    private static UsbBus Bus(NodeReader map) =>
        Whole(
            map,
            new UsbBus(
                map.Whole("number", 1, 1000, needed: true) ?? 1,
                map.Text("controller"),
                map.Whole("ports", 0, 255),
                map.Whole("speed", 0, 1_000_000)
            )
        );

    private static UsbDevice Usb(NodeReader map) =>
        Whole(
            map,
            new UsbDevice(Name(map, "port"), map.Text("id"), map.Text("name"), map.Flag("hub") ?? false, map.Flag("battery-link") ?? false)
        );

    private static NetworkPort Port(NodeReader map) =>
        Whole(
            map,
            new NetworkPort(
                Name(map, "name"),
                map.Text("mac"),
                map.Whole("speed", 1, 10_000_000),
                map.Flag("up"),
                map.Text("function"),
                [.. map.Texts("addresses")],
                map.Flag("wireless") ?? false,
                map.Flag("management") ?? false
            )
        );

    private static Bridge Bridge(NodeReader map) =>
        Whole(map, new Bridge(Name(map, "name"), [.. map.Texts("ports")], [.. map.Texts("addresses")]));

    private static Temperature Temperature(NodeReader map) =>
        Whole(map, new Temperature(Name(map, "where"), map.Number("celsius", -60, 200) ?? 0, map.Number("high", -60, 200)));

    private static DiskSpeed DiskSpeed(NodeReader map) =>
        Whole(
            map,
            new DiskSpeed(
                Name(map, "job"),
                map.Text("pattern"),
                map.Text("block"),
                map.Number("read", 0, Most) is { } read ? DataRate.FromBytes(read) : null,
                map.Number("reads", 0, Most),
                map.Number("write", 0, Most) is { } write ? DataRate.FromBytes(write) : null,
                map.Number("writes", 0, Most)
            )
        );

    private static LinkSpeed LinkSpeed(NodeReader map) =>
        Whole(map, new LinkSpeed(Name(map, "from"), Name(map, "to"), new DataRate(map.Number("goodput", 0, Most) ?? 0)));

    private static BatteryState Battery(NodeReader map) =>
        Whole(
            map,
            new BatteryState(
                map.Number("charge", 0, 1000),
                map.Number("load", 0, 1000),
                map.Number("minutes", 0, 1e6),
                map.Number("watts", 0, 1e6)
            )
        );

    private static Firmware Firmware(NodeReader map) => Whole(map, new Firmware(map.Day("date"), map.Text("version"), map.Text("board")));

    private static string Name(NodeReader map, string key) => map.Text(key, needed: true) ?? "?";

    private static long? Count(NodeReader map, string key) => (long?)map.Number(key, 0, Most);

    /// <summary>The thing read, once the keys nobody asked for have been named.</summary>
    private static T Whole<T>(NodeReader map, T thing)
    {
        map.Done();
        return thing;
    }
}
