using System.Xml.Linq;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Formats.Intake;

namespace Yuntak.Web.Drawing.Kit;

/// <summary>USB controllers, each with the ports of its buses, and what is plugged into them by name.</summary>
internal static class UsbDrawing
{
    private const double Port = 13;
    private const double Head = 24;

    // A row is a link, and no link is less than a fingertip high.
    private const double Row = 26;
    private const double Letter = 5.3;
    private const int MostPorts = 16;
    private const int MostNames = 3;

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
        var rows = buses.Select(b => new BusRow(b, sheet.Inside)).ToList();
        var title = address is null ? "controller not read" : Named(address);
        var wide = rows.Select(r => r.Wide).Append((title.Length * (Letter + 0.9)) + 14).Append(96).Max();
        var high = Head + (rows.Count * Row) + 2;
        flow.Put(
            wide,
            high,
            (x, y) =>
            {
                var function = sheet.Inside.Function(address);
                XElement[] head = [Svg.Rect(x, y, wide, Head, "reach"), Svg.Text(x + 7, y + 15, "kit-figure", title)];
                List<object> parts =
                [
                    Svg.Rect(x, y, wide, high, "controller", 4),
                    function is null
                        ? Svg.Group("", [.. head])
                        : sheet.Thing($"{KitParts.Cards}/{function.Address}", $"USB controller {function.Name} at {address}", [.. head]),
                    .. rows.Select((r, n) => r.Draw(sheet, x, y + Head + (n * Row), wide)),
                ];
                return Svg.Group("", [.. parts]);
            }
        );
    }

    internal static string Named(string address) => address.StartsWith("0000:", StringComparison.Ordinal) ? address[5..] : Short(address);

    private static string Short(string text) => text.Length > 22 ? text[..21] + "…" : text;

    /// <summary>One bus: its ports as squares, the used ones filled, and below them what is in them.</summary>
    private sealed class BusRow
    {
        private readonly UsbBus bus;
        private readonly HashSet<int> used;
        private readonly int ports;
        private readonly string speed;
        private readonly string names;

        public BusRow(UsbBus bus, Hardware inside)
        {
            this.bus = bus;
            var here = inside.UsbDevices.Where(d => d.Port.StartsWith($"{bus.Number}-", StringComparison.Ordinal)).ToList();
            used = [.. here.Select(FirstPort)];
            ports = Math.Min(bus.Ports ?? used.DefaultIfEmpty(1).Max(), MostPorts);
            var rate =
                bus.SpeedMbps is not { } mbps ? ""
                : mbps >= 1000 ? $" · {Numbers.Short(mbps / 1000.0)}G"
                : $" · {mbps}M";
            speed = bus.Number + rate;
            var named = here.Where(d => !d.Hub).ToList();
            var more = named.Count > MostNames ? $" +{named.Count - MostNames}" : "";
            names =
                string.Join(
                    ", ",
                    named
                        .Take(MostNames)
                        .Select(d => $"{d.Port[(d.Port.IndexOf('-', StringComparison.Ordinal) + 1)..]} {Short(d.Name ?? d.Id ?? "device")}")
                ) + more;
        }

        public double Wide => Math.Max((ports * Port) + 58, (names.Length * Letter) + 16);

        public XElement Draw(HostSheet sheet, double x, double y, double wide)
        {
            List<object> parts = [Svg.Rect(x, y, wide, Row, "reach")];
            for (var port = 1; port <= ports; port++)
            {
                parts.Add(Svg.Rect(x + 7 + ((port - 1) * Port), y + 1, Port - 3, 9, used.Contains(port) ? "usb-port used" : "usb-port", 1));
            }

            parts.Add(Svg.Text(x + 9 + (ports * Port), y + 9, "kit-text", speed));
            if (names.Length > 0)
            {
                parts.Add(Svg.Text(x + 7, y + 21, "kit-text", names));
            }

            return sheet.Thing(
                $"{KitParts.Usb}/{bus.Number}",
                $"USB bus with {Numbers.Count(ports, "port")}, {used.Count} in use",
                [.. parts]
            );
        }

        private static int FirstPort(UsbDevice device) => int.TryParse(device.Port.Split('-')[^1].Split('.')[0], out var port) ? port : 0;
    }
}
