using System.Xml.Linq;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Web.Drawing.Kit;

/// <summary>USB controllers, each with the ports of its buses, and what is plugged into them by name.</summary>
internal static class UsbDrawing
{
    private const double Port = 13;
    private const double Row = 16;
    private const double Line = 12;
    private const double Letter = 5.3;
    private const int MostPorts = 16;
    private const int MostDevices = 6;

    public static void Draw(Flow flow, HostSheet sheet)
    {
        if (sheet.Inside.UsbBuses.Count == 0)
        {
            return;
        }

        flow.Section("USB controllers");
        foreach (var controller in sheet.Inside.UsbBuses.GroupBy(b => b.Controller).Take(8))
        {
            Controller(flow, sheet, controller.Key, [.. controller]);
        }
    }

    private static void Controller(Flow flow, HostSheet sheet, string? address, UsbBus[] buses)
    {
        var devices = buses.SelectMany(b => sheet.Inside.UsbDevices.Where(d => BusOf(d) == b.Number)).Where(d => !d.Hub).ToList();
        var lines = devices.Take(MostDevices).Select(d => (Device: d, Text: $"{d.Port} {Short(d.Name ?? d.Id ?? "device")}")).ToList();
        var ports = buses.Max(b => Math.Min(b.Ports ?? 1, MostPorts));
        var title = address is null ? "controller not read" : Named(address);
        var wide = new[]
        {
            (ports * Port) + 56,
            (title.Length * (Letter + 0.9)) + 14,
            lines.Select(l => (l.Text.Length * Letter) + 20).DefaultIfEmpty().Max(),
            96,
        }.Max();
        var more = devices.Count > MostDevices ? 1 : 0;
        var high = 20 + (buses.Length * Row) + ((lines.Count + more) * Line) + 4;
        flow.Put(
            wide,
            high,
            (x, y) =>
            {
                var function = sheet.Inside.Function(address);
                XElement[] head = [Svg.Rect(x, y, wide, high, "controller", 4), Svg.Text(x + 7, y + 13, "kit-figure", title)];
                List<object> parts =
                [
                    function is null
                        ? Svg.Group("", [.. head])
                        : sheet.Thing($"{KitParts.Cards}/{function.Address}", $"USB controller {function.Name} at {address}", [.. head]),
                ];
                for (var n = 0; n < buses.Length; n++)
                {
                    parts.Add(Bus(sheet, buses[n], x + 7, y + 18 + (n * Row)));
                }

                var below = y + 20 + (buses.Length * Row);
                for (var n = 0; n < lines.Count; n++)
                {
                    var text = Svg.Text(
                        x + 7,
                        below + 9 + (n * Line),
                        "kit-text" + (lines[n].Device.BatteryLink ? " held" : ""),
                        lines[n].Text
                    );
                    parts.Add(sheet.Thing($"{KitParts.Usb}/{lines[n].Device.Port}", $"USB port {lines[n].Text}", text));
                }

                if (more > 0)
                {
                    parts.Add(Svg.Text(x + 7, below + 9 + (lines.Count * Line), "kit-text", $"and {devices.Count - MostDevices} more"));
                }

                return Svg.Group("", [.. parts]);
            }
        );
    }

    private static XElement Bus(HostSheet sheet, UsbBus bus, double x, double y)
    {
        var used = sheet.Inside.UsbDevices.Where(d => BusOf(d) == bus.Number).Select(FirstPort).ToHashSet();
        List<object> parts = [];
        var ports = Math.Min(bus.Ports ?? used.DefaultIfEmpty(1).Max(), MostPorts);
        for (var port = 1; port <= ports; port++)
        {
            parts.Add(Svg.Rect(x + ((port - 1) * Port), y, Port - 3, 9, used.Contains(port) ? "usb-port used" : "usb-port", 1));
        }

        var speed = bus.SpeedMbps is { } mbps
            ? mbps >= 1000
                ? $"{Numbers.Short(mbps / 1000.0)}G"
                : $"{mbps}M"
            : "";
        parts.Add(Svg.Text(x + (ports * Port) + 2, y + 8, "kit-text", $"{bus.Number} · {speed}"));
        return sheet.Thing($"{KitParts.Usb}/{bus.Number}", $"USB bus {bus.Number} with {ports} ports, {used.Count} in use", [.. parts]);
    }

    private static int BusOf(UsbDevice device) => int.TryParse(device.Port.Split('-')[0], out var bus) ? bus : 0;

    private static int FirstPort(UsbDevice device) => int.TryParse(device.Port.Split('-')[^1].Split('.')[0], out var port) ? port : 0;

    private static string Named(string address) => address.StartsWith("0000:", StringComparison.Ordinal) ? address[5..] : Short(address);

    private static string Short(string text) => text.Length > 22 ? text[..21] + "…" : text;
}
