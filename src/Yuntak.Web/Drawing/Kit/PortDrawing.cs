using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;

namespace Yuntak.Web.Drawing.Kit;

/// <summary>Network ports with name and speed; a filled corner marks the one the host is looked after through.</summary>
internal static class PortDrawing
{
    private const double Wide = 62;
    private const double High = 56;
    private const int MostPorts = 12;

    public static void Draw(Flow flow, HostSheet sheet)
    {
        var ports = sheet.Inside.Ports;
        if (ports.Count == 0)
        {
            return;
        }

        flow.Section(ports.Count > MostPorts ? $"network ports, {ports.Count - MostPorts} more not drawn" : "network ports");
        foreach (var port in ports.Take(MostPorts))
        {
            Port(flow, sheet, port);
        }
    }

    private static void Port(Flow flow, HostSheet sheet, NetworkPort port)
    {
        var speed =
            port.SpeedMbps is { } mbps ? DataRate.FromMbps(mbps).ToString()
            : port.Up == false ? "no link"
            : "speed ?";
        flow.Put(
            Wide,
            High,
            (x, y) =>
            {
                List<object> parts =
                [
                    // The socket with the notch for the latch.
                    Svg.Path($"M{Svg.N(x)} {Svg.N(y)}h34v24h-10v5h-14v-5h-10z", port.SpeedMbps is null ? "net-port" : "net-port live"),
                    Svg.Text(x, y + 42, "kit-figure", port.Name.Length > 10 ? port.Name[..9] + "…" : port.Name),
                    Svg.Text(x, y + 54, "kit-text", port.Wireless ? "wireless" : speed),
                ];
                for (var n = 0; n < 6; n++)
                {
                    parts.Add(Svg.Line(x + 7 + (n * 4), y + 3, x + 7 + (n * 4), y + 8, "pin"));
                }

                if (port.Management)
                {
                    parts.Add(Svg.Path($"M{Svg.N(x + 25)} {Svg.N(y)}h9v9z", "boot"));
                }

                return sheet.Thing($"{KitParts.Network}/{port.Name}", $"network port {port.Name}, {speed}", [.. parts]);
            }
        );
    }
}
