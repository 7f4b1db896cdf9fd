using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Bench;
using Yuntak.Core.Devices;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Web.Drawing.Devices;

/// <summary>
/// The loom of a host: isolation groups above as trays that are lifted whole, ports below their controllers, guests at the lower edge. A wire's stroke says the way:
/// solid for a whole card, long dashes for one USB device, dots for a shared node, dash and dot for a slice.
/// </summary>
internal static class LoomDrawing
{
    private const double Wide = 860;
    private const double Gap = 9;
    private const double MostGap = 44;
    private const double Slack = 58;

    private static readonly string[] Plumbing =
    [
        "bridge",
        "SMBus",
        "system",
        "memory",
        "communication",
        "isolation unit",
        "other",
        "signal",
    ];
    private static readonly Drawn<HostDevices> Kept = new();

    /// <summary>The loom of a host.</summary>
    /// <param name="host">Its devices.</param>
    /// <param name="sums">The sums of the lab.</param>
    public static IHtmlContent Draw(HostDevices host, Sums sums) => Kept.Of(host, "", () => Loom(host, sums));

    /// <summary>How many groups are not drawn: the board's own plumbing, which nobody claims.</summary>
    public static int NotDrawn(HostDevices host) => host.Map.Trays.Count(t => !IsDrawn(host, t));

    /// <summary>The word a claim is known by in the drawing and the list.</summary>
    public static string Token(ClaimVerdict verdict) => $"{Uri.EscapeDataString(verdict.Guest.Id.Value)}~{verdict.Asked!.Number}";

    private static bool IsDrawn(HostDevices host, DeviceTray tray) =>
        tray.Moves.Any(f => f.ClassCode.Length > 0 && !Plumbing.Contains(PciClasses.KindOf(f.ClassCode), StringComparer.Ordinal))
        || host.Check.Asked.Any(a => a.Claim.Device is { } d && tray.Functions.Any(f => f.Address == d));

    private static Svg Loom(HostDevices host, Sums sums)
    {
        var id = Uri.EscapeDataString(host.Host.Id.Value);
        var touching = host
            .Verdicts.Where(v => v.Device is not null && v.Asked!.Claim.Chosen)
            .SelectMany(v => v.AlsoMoves.Append(v.Device!).Concat(Controller(host, v)).Select(d => (Device: d, Token: Token(v))))
            .ToLookup(t => t.Device, t => t.Token, StringComparer.Ordinal);
        Dictionary<string, (double X, double Y)> ends = new(StringComparer.Ordinal);
        List<XElement> trays = [];
        var bottom = 0.0;
        foreach (var row in Rows(host))
        {
            var x = 0.0;
            // A row that is shorter than the loom is loosened, as far as it stays a row.
            var gap = Math.Clamp((Wide - row.Sum(t => t.Width)) / Math.Max(1, row.Count - 1), Gap, MostGap);
            foreach (var tray in row)
            {
                trays.AddRange(
                    tray.Draw(
                        x,
                        bottom,
                        ends,
                        device => string.Join(' ', touching[device].Distinct(StringComparer.Ordinal)),
                        device => $"/Devices?host={id}&device={Uri.EscapeDataString(device)}"
                    )
                );
                x += tray.Width + gap;
            }

            bottom += row.Max(t => t.Height) + Gap;
        }

        var guests = Guests(host, sums, ends);
        List<XElement> wires = [];
        List<XElement> blocks = [];
        var height = guests.Count == 0 ? bottom : Place(host, guests, bottom + Slack, ends, wires, blocks);
        return Svg.Of(-1, -1, Wide + 2, height + 2, $"{host.Host.Name}: who has which device", "loom", [.. wires, .. trays, .. blocks]);
    }

    /// <summary>A stick that is handed over with its whole controller touches the controller too.</summary>
    private static IEnumerable<string> Controller(HostDevices host, ClaimVerdict verdict) =>
        verdict.Way == ClaimWay.Whole && host.Map.At(verdict.Device!)?.Controller is { } controller ? [controller] : [];

    /// <summary>The trays in rows: those with a wire or something plugged in stand lowest, so that no wire crosses a tray that has none.</summary>
    private static List<List<LoomTray>> Rows(HostDevices host)
    {
        var claimed = host.Check.Asked.Select(a => a.Claim.Device).OfType<string>().ToHashSet(StringComparer.Ordinal);
        var trays = host.Map.Trays.Where(t => IsDrawn(host, t)).Select(t => new LoomTray(host.Map, t)).ToList();
        if (trays.Sum(t => t.Width + Gap) - Gap <= Wide)
        {
            return trays.Count == 0 ? [] : [trays];
        }

        bool IsBusy(LoomTray tray) => tray.HasPorts || tray.Tray.Functions.Any(f => claimed.Contains(f.Address));
        return [.. Packed(trays.Where(t => !IsBusy(t))), .. Packed(trays.Where(IsBusy))];
    }

    private static IEnumerable<List<LoomTray>> Packed(IEnumerable<LoomTray> trays)
    {
        List<LoomTray> row = [];
        var x = 0.0;
        foreach (var tray in trays)
        {
            if (row.Count > 0 && x + tray.Width > Wide)
            {
                yield return row;
                (row, x) = ([], 0);
            }

            row.Add(tray);
            x += tray.Width + Gap;
        }

        if (row.Count > 0)
        {
            yield return row;
        }
    }

    /// <summary>The guests that claim something, from left to right as what they have hangs above them; those with nothing yet last.</summary>
    private static List<LoomGuest> Guests(HostDevices host, Sums sums, Dictionary<string, (double X, double Y)> ends) =>
        [
            .. host
                .Verdicts.GroupBy(v => v.Guest.Id)
                .Select(g => new LoomGuest(sums.Guest(g.Key), [.. g]))
                .OrderBy(g => g.Verdicts.Select(v => End(v, ends)?.X).Average() ?? double.MaxValue),
        ];

    private static (double X, double Y)? End(ClaimVerdict verdict, Dictionary<string, (double X, double Y)> ends) =>
        verdict.Asked!.Claim.Chosen && ends.TryGetValue(verdict.Device!, out var end) ? end : null;

    /// <summary>Places guests below what they have, side by side, and draws their wires.</summary>
    /// <returns>The lower edge.</returns>
    private static double Place(
        HostDevices host,
        List<LoomGuest> guests,
        double top,
        Dictionary<string, (double X, double Y)> ends,
        List<XElement> wires,
        List<XElement> blocks
    )
    {
        var y = top;
        foreach (var row in GuestRows(guests))
        {
            var left = Lefts(row, ends);
            for (var n = 0; n < row.Count; n++)
            {
                var guest = row[n];
                var id = Uri.EscapeDataString(host.Host.Id.Value);
                blocks.Add(
                    guest.Draw(
                        left[n],
                        y,
                        $"/Devices?host={id}&guest={Uri.EscapeDataString(guest.Guest.Id.Value)}&claim={guest.Verdicts[0].Asked!.Number}"
                    )
                );
                for (var c = 0; c < guest.Verdicts.Count; c++)
                {
                    wires.AddRange(Wire(guest.Verdicts[c], left[n] + (guest.Width * (c + 1) / (guest.Verdicts.Count + 1)), y, ends));
                }
            }

            y += LoomGuest.High + 30;
        }

        return y - 30;
    }

    private static IEnumerable<List<LoomGuest>> GuestRows(List<LoomGuest> guests)
    {
        List<LoomGuest> row = [];
        foreach (var guest in guests)
        {
            if (row.Count > 0 && row.Sum(g => g.Width + 14) + guest.Width > Wide)
            {
                yield return row;
                row = [];
            }

            row.Add(guest);
        }

        yield return row;
    }

    /// <summary>Each as near below its devices as its neighbours let it.</summary>
    private static double[] Lefts(List<LoomGuest> row, Dictionary<string, (double X, double Y)> ends)
    {
        const double Between = 14;
        var left = new double[row.Count];
        var from = 0.0;
        for (var n = 0; n < row.Count; n++)
        {
            var wished = row[n].Verdicts.Select(v => End(v, ends)?.X).Average() is { } middle ? middle - (row[n].Width / 2) : from;
            left[n] = Math.Max(from, wished);
            from = left[n] + row[n].Width + Between;
        }

        var to = Wide;
        for (var n = row.Count - 1; n >= 0; n--)
        {
            left[n] = Math.Max(0, Math.Min(left[n], to - row[n].Width));
            to = left[n] - Between;
        }

        return left;
    }

    private static IEnumerable<XElement> Wire(ClaimVerdict verdict, double x, double y, Dictionary<string, (double X, double Y)> ends)
    {
        if (End(verdict, ends) is not var (fromX, fromY))
        {
            // An open claim reaches up and holds nothing.
            yield return LoomTray.Touching(Svg.Line(x, y, x, y - 16, "wire open"), Token(verdict));
            yield return LoomTray.Touching(Svg.Circle(x, y - 20, 4, "wire-end"), Token(verdict));
            yield break;
        }

        var bend = Math.Max(24, (y - fromY) / 2);
        var family = verdict.CanBe ? "" : " barred";
        yield return LoomTray.Touching(
            Svg.Path(
                $"M{Svg.N(fromX)} {Svg.N(fromY)}C{Svg.N(fromX)} {Svg.N(fromY + bend)} {Svg.N(x)} {Svg.N(y - bend)} {Svg.N(x)} {Svg.N(y)}",
                $"wire {Stroke(verdict.Way!.Value)}{family}"
            ),
            Token(verdict)
        );
        if (!verdict.CanBe)
        {
            yield return Shapes.MarkAt(Severity.Stop, ((fromX + x) / 2) - 7, ((fromY + y) / 2) - 7, 14);
        }
    }

    private static string Stroke(ClaimWay way) =>
        way switch
        {
            ClaimWay.Whole => "whole",
            ClaimWay.UsbId or ClaimWay.UsbPort => "usb",
            ClaimWay.Node => "node",
            ClaimWay.Slice => "slice",
        };
}
