using System.Text.Json.Nodes;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using static Yuntak.Formats.LabFiles.TreeParts;

namespace Yuntak.Formats.LabFiles;

/// <summary>Lays out what is inside a host, and where it is known from, as names and values of a lab file. What is unknown is left out.</summary>
internal static class HardwareTree
{
    public static JsonObject Of(Hardware inside)
    {
        var tree = new JsonObject();
        Put(tree, "isolation", inside.Isolation);
        List(tree, "memory-slots", inside.MemorySlots, s => Row(("name", s.Name), ("size", s.Size?.ToExactString())));
        List(
            tree,
            "functions",
            inside.Functions,
            f =>
                Row(
                    ("address", f.Address),
                    ("class", f.ClassCode),
                    ("name", f.Name),
                    ("ids", f.Ids),
                    ("group", f.Group),
                    ("driver", f.Driver),
                    ("reset", f.Reset),
                    ("slot", f.Slot),
                    ("console", True(f.ConsoleGraphics)),
                    ("encode", f.EncodeMegapixels)
                )
        );
        List(
            tree,
            "usb-buses",
            inside.UsbBuses,
            b => Row(("number", b.Number), ("controller", b.Controller), ("ports", b.Ports), ("speed", b.SpeedMbps))
        );
        List(
            tree,
            "usb",
            inside.UsbDevices,
            d => Row(("port", d.Port), ("id", d.Id), ("name", d.Name), ("hub", True(d.Hub)), ("battery-link", True(d.BatteryLink)))
        );
        List(
            tree,
            "network",
            inside.Ports,
            p =>
                Row(
                    ("name", p.Name),
                    ("mac", p.Mac),
                    ("speed", p.SpeedMbps),
                    ("up", p.Up),
                    ("function", p.Function),
                    ("addresses", Texts(p.Addresses)),
                    ("wireless", True(p.Wireless)),
                    ("management", True(p.Management))
                )
        );
        List(tree, "bridges", inside.Bridges, b => Row(("name", b.Name), ("ports", Texts(b.Ports)), ("addresses", Texts(b.Addresses))));
        List(tree, "temperatures", inside.Temperatures, t => Row(("where", t.Where), ("celsius", t.Celsius), ("high", t.High)));
        List(
            tree,
            "disk-speeds",
            inside.DiskSpeeds,
            s =>
                Row(
                    ("job", s.Job),
                    ("pattern", s.Pattern),
                    ("block", s.Block),
                    ("read", s.Read?.BytesPerSecond),
                    ("reads", s.ReadsPerSecond),
                    ("write", s.Write?.BytesPerSecond),
                    ("writes", s.WritesPerSecond)
                )
        );
        List(tree, "link-speeds", inside.LinkSpeeds, s => Row(("from", s.From), ("to", s.To), ("goodput", s.Goodput.BitsPerSecond)));
        Put(
            tree,
            "battery",
            inside.Battery is { } b2
                ? Row(("charge", b2.ChargePercent), ("load", b2.LoadPercent), ("minutes", b2.RuntimeMinutes), ("watts", b2.Watts))
                : null
        );
        Put(tree, "firmware", inside.Firmware is { } f2 ? Row(("date", Day(f2.Date)), ("version", f2.Version), ("board", f2.Board)) : null);
        return tree;
    }

    /// <summary>What a disk says of its health.</summary>
    public static JsonObject Of(DiskHealth health) =>
        Row(
            ("passed", health.Passed),
            ("reallocated", health.ReallocatedSectors),
            ("pending", health.PendingSectors),
            ("wear", health.WearPercent),
            ("celsius", health.Celsius)
        );

    /// <summary>The lines of the readiness list that are ticked, and where facts came from.</summary>
    public static void AddRecords(JsonObject tree, Host host)
    {
        Put(tree, "read-on", Day(host.ReadOn));
        List(tree, "checks", host.Checks, c => Row(("item", c.Item), ("on", Day(c.On))));
        List(
            tree,
            "notes",
            host.Notes,
            n => Row(("fact", n.Fact), ("origin", LabFileNames.Origins.WordFor(n.Origin)), ("text", n.Text), ("on", Day(n.On)))
        );
    }

    public static JsonArray? Texts(ValueList<string> items) => items.Count == 0 ? null : new JsonArray([.. items.Select(i => (JsonNode)i)]);

    private static string? Day(DateOnly? day) => day?.ToString("O");

    private static bool? True(bool value) => value ? true : null;

    private static void List<T>(JsonObject tree, string key, ValueList<T> items, Func<T, JsonObject> row)
    {
        if (items.Count > 0)
        {
            tree[key] = new JsonArray([.. items.Select(row)]);
        }
    }

    private static JsonObject Row(params (string Key, JsonNode? Value)[] values)
    {
        var row = new JsonObject();
        foreach (var (key, value) in values)
        {
            Put(row, key, value);
        }

        return row;
    }
}
