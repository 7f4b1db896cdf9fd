using System.Xml.Linq;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;

namespace Yuntak.Web.Drawing.Devices;

/// <summary>One isolation group as a tray: what is in it is lifted together. Below a USB controller hang its ports.</summary>
/// <param name="map">The map of the host.</param>
/// <param name="tray">The group.</param>
internal sealed class LoomTray(DeviceMap map, DeviceTray tray)
{
    private const double Card = 82;
    private const double CardHigh = 34;
    private const double Head = 15;
    private const double Edge = 6;
    private const double Port = 62;
    private const double Cell = 22;
    private const int PortsInRow = 12;

    private readonly List<UsbPlace> ports = [.. tray.Functions.SelectMany(f => map.On(f.Address)).Where(u => !u.Device.Hub)];

    /// <summary>The group.</summary>
    public DeviceTray Tray => tray;

    /// <summary>Whether anything is plugged into it.</summary>
    public bool HasPorts => ports.Count > 0;

    /// <summary>How wide it is.</summary>
    public double Width => Math.Max((tray.Moves.Count() * (Card + 4)) - 4 + (2 * Edge), Math.Min(ports.Count, PortsInRow) * Port);

    /// <summary>How high it is, its ports included.</summary>
    public double Height =>
        Head + CardHigh + Edge + (ports.Count == 0 ? 0 : 10 + (((ports.Count + PortsInRow - 1) / PortsInRow) * (Cell + 36)));

    /// <summary>Draws it, and says where each device is held.</summary>
    /// <param name="x">Its left edge.</param>
    /// <param name="y">Its upper edge.</param>
    /// <param name="ends">Where a wire to each device begins.</param>
    /// <param name="touched">The claims that touch a device.</param>
    /// <param name="link">Where a device leads.</param>
    public IEnumerable<XElement> Draw(
        double x,
        double y,
        Dictionary<string, (double X, double Y)> ends,
        Func<string, string> touched,
        Func<string, string> link
    )
    {
        var needs = tray.NeededByHost;
        var all = string.Join(' ', tray.Functions.Select(f => touched(f.Address)).Concat(ports.Select(p => touched(p.Device.Port)))).Trim();
        List<object> box =
        [
            new XElement("title", Words()),
            Svg.Rect(x, y, Width, Head + CardHigh + Edge, needs.Count > 0 ? "loom-tray needed" : "loom-tray", 3),
            Svg.Text(x + Edge, y + 11, "kit-text", tray.Group is { } group ? $"group {group}" : "group not read"),
        ];
        if (needs.Count > 0)
        {
            box.Add(Svg.Path($"M{Svg.N(x + Width - 13)} {Svg.N(y)}h13v13z", "boot"));
        }

        yield return Touching(Svg.Group("loom-group", [.. box]), all);
        var at = x + Edge;
        foreach (var function in tray.Moves)
        {
            ends[function.Address] = (at + (Card / 2), y + Head + CardHigh);
            yield return Touching(Function(function, at, y + Head, link), touched(function.Address));
            at += Card + 4;
        }

        for (var n = 0; n < ports.Count; n++)
        {
            var place = ports[n];
            var left = x + (n % PortsInRow * Port) + ((Width - (Math.Min(ports.Count, PortsInRow) * Port)) / 2);
            var top = y + Head + CardHigh + Edge + 8 + (n / PortsInRow * (Cell + 36));
            // Names of neighbours stand at two heights, so that each has room.
            var name = top + Cell + 10 + (n % 2 * 12);
            ends[place.Device.Port] = (left + (Port / 2), name + 3);
            yield return Touching(Stick(place.Device, left + (Port / 2), top, name, link), touched(place.Device.Port));
        }
    }

    /// <summary>An element that lights up, and lights others, by the claims it has to do with.</summary>
    public static XElement Touching(XElement element, string claims)
    {
        if (claims.Length > 0)
        {
            element.Add(new XAttribute("data-touches", claims));
        }

        return element;
    }

    private static XElement Function(PciFunction function, double x, double y, Func<string, string> link) =>
        Svg.Link(
            link(function.Address),
            Svg.Group(
                "thing",
                new XElement("title", $"{function.Name ?? PciClasses.KindOf(function.ClassCode)} at {function.Address}"),
                Svg.Rect(x, y, Card, CardHigh, "loom-card", 2),
                Svg.Text(x + 7, y + 14, "kit-figure", Fits(PciClasses.KindOf(function.ClassCode), 12)),
                Svg.Text(x + 7, y + 28, "kit-text mono", Short(function.Address))
            )
        );

    private static XElement Stick(UsbDevice device, double middle, double top, double name, Func<string, string> link)
    {
        var called = device.Name ?? device.Id ?? "device";
        return Svg.Link(
            link(device.Port),
            Svg.Group(
                "thing",
                new XElement(
                    "title",
                    $"{called} at port {device.Port}{(device.BatteryLink ? ", the battery backup's link: the host needs it" : "")}"
                ),
                Svg.Rect(middle - 17, top, 34, 16, device.BatteryLink ? "loom-port needed" : "loom-port", 2),
                Svg.Text(middle, top + 12, "loom-path", device.Port),
                Svg.Text(middle, name, "loom-name", Fits(called, 19))
            )
        );
    }

    private string Words() =>
        tray.NeededByHost.Count > 0 ? $"stays with the host: {string.Join("; ", tray.NeededByHost.Select(n => $"{n.What}: {n.Why}"))}"
        : tray.Group is { } group ? $"group {group} is lifted whole"
        : "its group was not read";

    private static string Short(string address) => address.StartsWith("0000:", StringComparison.Ordinal) ? address[5..] : address;

    private static string Fits(string text, int most) => text.Length > most ? text[..(most - 1)] + "…" : text;
}
