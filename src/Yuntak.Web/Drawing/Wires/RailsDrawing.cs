using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Addresses;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Wires;

namespace Yuntak.Web.Drawing.Wires;

/// <summary>
/// Networks as rails, who is on them hanging down by an address, ports as keyholes below. The outside is the dashed rail on top; a way in is drawn as a way from it, red
/// and broken when it is in the clear. Who has a leg on several rails hangs between them.
/// </summary>
internal static class RailsDrawing
{
    private const double Wide = 906;
    private const double Label = 136;
    private const double Slot = 95;
    private const double Row = 84;
    private const double Head = 30;
    private const int Slots = 8;
    private const int MostOnRail = 32;
    private const int MostBridging = 3;
    private static readonly Drawn<Sums> Kept = new();

    /// <summary>The picture of a lab.</summary>
    public static IHtmlContent Draw(Sums sums) => Kept.Of(sums, "", () => Rails(sums));

    /// <summary>What hangs from a rail in the picture: guests with a leg there first, then hosts and boxes.</summary>
    private static List<RailThing> On(NetworkSums network, Sums sums) =>
        [
            .. network
                .Held.DistinctBy(h => h.Who)
                .Select(h => new RailThing(h, sums, network.Prefix))
                .OrderBy(t =>
                    t.Held.Who.Kind switch
                    {
                        HolderKind.Guest => 0,
                        HolderKind.Host => 1,
                        HolderKind.Box => 2,
                    }
                ),
        ];

    private static Svg Rails(Sums sums)
    {
        var wires = sums.Wires;
        var networks = wires.Networks.OrderBy(n => n.Network.Purpose != NetworkPurpose.Outside).ToList();
        var outside = networks.Count > 0 && networks[0].Network.Purpose == NetworkPurpose.Outside ? networks[0] : null;
        var inner = networks.Where(n => n != outside).ToList();
        // Who stands on several rails, by the first and the last of them; -1 is the outside.
        var spans = sums
            .Lab.Guests.Where(g => g.Interfaces.Select(l => l.Network).Distinct(StringComparer.Ordinal).Skip(1).Any())
            .Select(g => (g.Id, Rails: g.Interfaces.Select(l => inner.FindIndex(n => n.Network.Name == l.Network)).Order().ToList()))
            .Take(MostBridging)
            .Select((s, column) => (s.Id, s.Rails, Column: column))
            .ToList();
        List<XElement> behind = [];
        List<XElement> front = [];
        Dictionary<GuestId, (double X, double Y)> blocks = [];
        var y = 26.0;
        var outsideY = y;
        behind.Add(Svg.Line(Label, y, Wide, y, "net-rail outside"));
        front.Add(Svg.Text(0, y - 4, "net-name", outside?.Network.Name ?? "outside"));
        front.Add(Svg.Text(0, y + 10, "net-prefix", outside?.Network.Prefix ?? "the internet"));
        y += spans.Any(s => s.Rails[0] < 0) ? 78 : 46;
        List<double> rails = [];
        for (var n = 0; n < inner.Count; n++)
        {
            rails.Add(y);
            var reserved = spans.Where(s => s.Rails[0] <= n && s.Rails[^1] > n && s.Rails[0] >= 0).Select(s => s.Column).ToList();
            y = Rail(
                inner[n],
                n,
                y,
                reserved,
                spans.Where(s => s.Rails[0] >= 0 && s.Rails[0] == n).ToDictionary(s => s.Id, s => s.Column),
                spans.Select(s => (s.Id, s.Rails[0])).ToList(),
                sums,
                behind,
                front,
                blocks
            );
        }

        foreach (var (id, on, column) in spans)
        {
            Bridging(sums.Lab.Guest(id)!, on, column, outsideY, rails, sums, behind, front, blocks);
        }

        Ways(wires, outsideY, rails, behind, front, blocks);
        return Svg.Of(
            0,
            0,
            Wide + 4,
            Math.Max(y - 8, 90),
            "networks as rails, and who hangs from them",
            "net-rails",
            [.. behind, .. front]
        );
    }

    private static double Rail(
        NetworkSums network,
        int index,
        double y,
        List<int> reserved,
        Dictionary<GuestId, int> begins,
        List<(GuestId Id, int First)> spanning,
        Sums sums,
        List<XElement> behind,
        List<XElement> front,
        Dictionary<GuestId, (double X, double Y)> blocks
    )
    {
        var things = On(network, sums);
        var shown = things.Where(t => t.Guest is null || spanning.TrueForAll(s => s.Id != t.Guest.Id)).Take(MostOnRail).ToList();
        var left = things.Count - shown.Count - things.Count(t => t.Guest is not null && spanning.Exists(s => s.Id == t.Guest.Id));
        // A place kept for who hangs between this rail and a lower one stays free in every row.
        var free = Enumerable.Range(0, Slots).Where(c => !reserved.Contains(c) && !begins.ContainsValue(c)).ToList();
        var rows = Math.Max(1, (int)Math.Ceiling((shown.Count + (left > 0 ? 1 : 0)) / (double)Math.Max(1, free.Count)));
        var bottom = y + Head + (rows * Row) - 26;
        var name = network.Network.Name;
        behind.Add(
            new XElement(
                "g",
                new XAttribute("data-rail", name),
                Svg.Rect(0, y - 16, Wide, bottom - y + 10, "net-hit"),
                Svg.Line(Label, y, Wide, y, "net-rail")
            )
        );
        front.Add(
            Svg.Link(
                $"/Wires?network={Uri.EscapeDataString(name)}",
                Svg.Group(
                    "net-title",
                    Svg.Text(0, y - 2, "net-name", Fit(name, 17)),
                    Svg.Text(0, y + 12, "net-prefix", network.Network.Prefix ?? network.Network.Purpose.Words()),
                    network.Network.Tag is { } tag ? Svg.Text(0, y + 25, "net-prefix", $"tag {tag}") : null
                )
            )
        );
        for (var row = 1; row < rows; row++)
        {
            // The rail comes down at its end, so that nobody seems to hang from somebody else.
            var line = y + (row * Row);
            behind.Add(Svg.Line(Label, line - Row, Label, line, "net-rail thin"));
            behind.Add(Svg.Line(Label, line, Wide, line, "net-rail thin"));
        }

        for (var n = 0; n < shown.Count; n++)
        {
            var x = Label + 8 + (free[n % free.Count] * Slot);
            var rail = y + (n / free.Count * Row);
            shown[n].Draw(x, rail, rail + Head, Slot - 9, behind, front, blocks);
        }

        if (left > 0)
        {
            var x = Label + 8 + (free[shown.Count % free.Count] * Slot);
            front.Add(
                Svg.Link(
                    "/Wires/Plan#net-" + Base(name),
                    Svg.Text(x + (Slot / 2), y + Head + (shown.Count / free.Count * Row) + 16, "net-more", $"{left:#,##0} more")
                )
            );
        }

        return bottom + 22;
    }

    /// <summary>Who has a leg on several rails: hanging from the upper one, with a line down to each of the others.</summary>
    private static void Bridging(
        Guest guest,
        List<int> on,
        int column,
        double outsideY,
        List<double> rails,
        Sums sums,
        List<XElement> behind,
        List<XElement> front,
        Dictionary<GuestId, (double X, double Y)> blocks
    )
    {
        var x = Label + 8 + (column * Slot);
        var first = on[0] < 0 ? outsideY : rails[on[0]];
        var top = on[0] < 0 ? outsideY + 14 : first + Head;
        var held = sums.Wires.Networks.SelectMany(n => n.Held).First(h => h.Who == Holder.Of(guest));
        new RailThing(held, sums, null).Draw(x, first, top, Slot - 9, behind, front, blocks, addressShown: false);
        for (var n = 0; n < on.Count; n++)
        {
            var y = on[n] < 0 ? outsideY : rails[on[n]];
            var at = x + Slot - 36 + (n * 16);
            behind.Add(Svg.Line(at, Math.Min(y, top), at, Math.Max(y, top + RailThing.High), "net-drop"));
            behind.Add(Svg.Circle(at, y, 3.4, "net-knot"));
            var leg = guest.Interfaces.FirstOrDefault(l =>
                on[n] >= 0
                && sums.Wires.Networks.Where(k => k.Network.Purpose != NetworkPurpose.Outside).ElementAtOrDefault(on[n])?.Network.Name
                    == l.Network
            );
            if (leg?.Address is { } address && on[n] >= 0)
            {
                front.Add(Svg.Text(at + 4, y - 5, "net-address", IpText.Tail(address)));
            }
        }
    }

    /// <summary>Ways in: each from the outside rail down to who answers, with a lane of its own at the right.</summary>
    private static void Ways(
        HouseWires wires,
        double outsideY,
        List<double> rails,
        List<XElement> behind,
        List<XElement> front,
        Dictionary<GuestId, (double X, double Y)> blocks
    )
    {
        var lane = 0;
        var drawn = wires.WaysIn.Where(w => w.Forward is not null).Take(8).ToList();
        var lanes = drawn.Count;
        foreach (var way in drawn)
        {
            List<GuestId> stops = [.. way.Forward!.Through is { } through ? [through] : Array.Empty<GuestId>(), way.Who.Id];
            var points = stops.Select(s => Stack(wires, s)).Where(blocks.ContainsKey).Select(s => blocks[s]).ToList();
            if (points.Count == 0)
            {
                continue;
            }

            var x = Wide - 10 - (lane * 13);
            var css = way.Clear || way.Page ? "net-way bad" : "net-way";
            var level = points[0].Y - Head + 8 + (lane % 4 * 4);
            var path = $"M{Svg.N(x)} {Svg.N(outsideY)}V{Svg.N(level)}H{Svg.N(points[0].X + 12)}V{Svg.N(points[0].Y)}";
            if (points.Count > 1 && points[1] != points[0])
            {
                path +=
                    $"M{Svg.N(points[0].X + 30)} {Svg.N(points[0].Y + RailThing.High)}v7H{Svg.N(points[1].X + 20)}V{Svg.N(points[1].Y + (points[1].Y > points[0].Y ? 0 : RailThing.High))}";
            }

            behind.Add(Svg.Path(path, css));
            front.Add(
                Svg.Text(
                    Wide - 6 - (lanes * 13),
                    outsideY + 15 + (lane * 13),
                    way.Clear || way.Page ? "net-way-text bad" : "net-way-text",
                    $"{way.Forward.FromPort} → {way.Who.Name}{(way.IsTunnel ? ", a tunnel" : way.Clear ? ", in the clear" : way.Page ? ", its own page" : ", encrypted")}"
                )
            );
            lane++;
        }
    }

    /// <summary>A stack without an address of its own has no block; the way leads to the host's.</summary>
    private static GuestId Stack(HouseWires wires, GuestId id) =>
        wires.Lab.Guest(id) is { } guest && PortsOf.StackOf(wires.Lab, guest) is { } stack ? new GuestId(stack.Id) : id;

    internal static string Fit(string name, int letters) => name.Length <= letters ? name : name[..(letters - 1)] + "…";

    internal static string Base(string name) => Core.Base.Names.Slug(name);
}
