using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Addresses;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Wires;

namespace Yuntak.Web.Drawing.Wires;

/// <summary>
/// Networks as rails, who is on them hanging down by an address, ports as keyholes below. The outside is the dashed rail on top; a way in is drawn as a way from it, red
/// and broken when it is in the clear. Who has a leg on several rails hangs between them.
/// </summary>
internal sealed class RailsDrawing
{
    private const double Wide = 906;
    private const double Label = 136;
    private const double Slot = 95;
    private const double Row = 84;
    private const double Head = 30;
    private const double Lane = 13;
    private const int Slots = 8;
    private const int MostOnRail = 32;
    private const int MostBridging = 3;
    private const int MostWays = 8;
    private static readonly Drawn<Sums> Kept = new();

    private readonly Sums sums;
    private readonly NetworkSums? outside;
    private readonly List<NetworkSums> inner;
    private readonly List<(Guest Guest, List<int> Rails, int Column)> bridging;
    private readonly List<XElement> behind = [];
    private readonly List<XElement> front = [];
    private readonly Dictionary<Holder, (double X, double Y)> blocks = [];
    private readonly List<double> rails = [];
    private double outsideY;

    private RailsDrawing(Sums sums)
    {
        this.sums = sums;
        outside = sums.Wires.Networks.FirstOrDefault(n => n.Network.Purpose == NetworkPurpose.Outside);
        inner = [.. sums.Wires.Networks.Where(n => n != outside)];
        // Who stands on several rails, by their places from above; -1 is the outside.
        bridging =
        [
            .. sums
                .Lab.Guests.Where(g => g.Interfaces.Count > 1)
                .Select(g => (Guest: g, Rails: g.Interfaces.Select(l => RailOf(l.Network)).Order().ToList()))
                .Take(MostBridging)
                .Select((s, column) => (s.Guest, s.Rails, column)),
        ];
    }

    /// <summary>The picture of a lab.</summary>
    public static IHtmlContent Draw(Sums sums) => Kept.Of(sums, "", () => new RailsDrawing(sums).Whole());

    /// <summary>A name as it fits.</summary>
    internal static string Fit(string name, int letters) => name.Length <= letters ? name : name[..(letters - 1)] + "…";

    private static double ColumnAt(int column) => Label + 8 + (column * Slot);

    private int RailOf(string network) => inner.FindIndex(n => n.Network.Name == network);

    private Svg Whole()
    {
        var y = outsideY = 26;
        behind.Add(Svg.Line(Label, y, Wide, y, "net-rail outside"));
        front.Add(Svg.Text(0, y - 4, "net-name", outside?.Network.Name ?? "outside"));
        front.Add(Svg.Text(0, y + 10, "net-prefix", outside?.Network.Prefix ?? "the internet"));
        y += bridging.Exists(b => b.Rails[0] < 0) ? 78 : 46;
        for (var n = 0; n < inner.Count; n++)
        {
            rails.Add(y);
            y = Rail(n, y);
        }

        foreach (var (guest, on, column) in bridging)
        {
            Bridge(guest, on, column);
        }

        Ways();
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

    /// <summary>A rail with all that hangs from it alone; its rows come down at its end, so that nobody seems to hang from somebody else.</summary>
    /// <returns>Where the next rail is.</returns>
    private double Rail(int index, double y)
    {
        var network = inner[index];
        var between = bridging.Select(b => b.Guest.Id).ToHashSet();
        var things = network
            .Held.DistinctBy(h => h.Who)
            .Select(h => new RailThing(h, sums, network.Prefix))
            .Where(t => t.Guest is null || !between.Contains(t.Guest.Id))
            .OrderBy(t =>
                t.Held.Who.Kind switch
                {
                    HolderKind.Guest => 0,
                    HolderKind.Host => 1,
                    HolderKind.Box => 2,
                }
            )
            .ToList();
        var shown = things.Take(MostOnRail).ToList();
        var left = things.Count - shown.Count;
        // A place kept for who hangs between this rail and a lower one stays free in every row.
        var kept = bridging
            .Where(b => b.Rails[0] == index || (b.Rails[0] >= 0 && b.Rails[0] < index && b.Rails[^1] > index))
            .Select(b => b.Column);
        var free = Enumerable.Range(0, Slots).Except(kept).ToList();
        var rows = Math.Max(1, (int)Math.Ceiling((shown.Count + (left > 0 ? 1 : 0)) / (double)free.Count));
        var bottom = y + Head + (rows * Row) - 26;
        Title(network, y, bottom);
        for (var row = 1; row < rows; row++)
        {
            var line = y + (row * Row);
            behind.Add(Svg.Line(Label, line - Row, Label, line, "net-rail thin"));
            behind.Add(Svg.Line(Label, line, Wide, line, "net-rail thin"));
        }

        for (var n = 0; n < shown.Count; n++)
        {
            var rail = y + (n / free.Count * Row);
            Hang(shown[n], ColumnAt(free[n % free.Count]), rail, rail + Head, addressShown: true);
        }

        if (left > 0)
        {
            var x = ColumnAt(free[shown.Count % free.Count]) + (Slot / 2);
            var text = Svg.Text(x, y + Head + (shown.Count / free.Count * Row) + 16, "net-more", $"{left:#,##0} more");
            front.Add(Svg.Link($"/Wires/Plan#net-{Names.Slug(network.Network.Name)}", text));
        }

        return bottom + 22;
    }

    private void Title(NetworkSums network, double y, double bottom)
    {
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
    }

    private void Hang(RailThing thing, double x, double rail, double top, bool addressShown)
    {
        blocks[thing.Held.Who] = (x, top);
        if (addressShown)
        {
            behind.AddRange(thing.Drop(x, rail, top, Slot - 9));
            front.Add(thing.Address(x, top, Slot - 9));
        }

        front.Add(thing.Block(x, top, Slot - 9));
    }

    /// <summary>Who has a leg on several rails: hanging from the upper one, with a line down to each of the others.</summary>
    private void Bridge(Guest guest, List<int> on, int column)
    {
        var x = ColumnAt(column);
        double RailY(int rail) => rail < 0 ? outsideY : rails[rail];
        var top = on[0] < 0 ? outsideY + 14 : rails[on[0]] + Head;
        var held = sums.Wires.Networks.SelectMany(n => n.Held).First(h => h.Who == Holder.Of(guest));
        Hang(new RailThing(held, sums, null), x, RailY(on[0]), top, addressShown: false);
        for (var n = 0; n < on.Count; n++)
        {
            var y = RailY(on[n]);
            var at = x + Slot - 36 + (n * 16);
            behind.Add(Svg.Line(at, Math.Min(y, top), at, Math.Max(y, top + RailThing.High), "net-drop"));
            behind.Add(Svg.Circle(at, y, 3.4, "net-knot"));
            if (on[n] >= 0 && guest.Interfaces.FirstOrDefault(l => l.Network == inner[on[n]].Network.Name)?.Address is { } address)
            {
                front.Add(Svg.Text(at + 4, y - 5, "net-address", IpText.Tail(address)));
            }
        }
    }

    /// <summary>Ways in: each from the outside rail down to who answers, with a lane of its own at the right.</summary>
    private void Ways()
    {
        var ways = sums.Wires.WaysIn.Where(w => w.Forward is not null).Take(MostWays).ToList();
        for (var lane = 0; lane < ways.Count; lane++)
        {
            var way = ways[lane];
            GuestId[] stops = way.Forward!.Through is { } through ? [through, way.Who.Id] : [way.Who.Id];
            var points = stops.Select(Stack).Where(blocks.ContainsKey).Select(s => blocks[s]).ToList();
            if (points.Count == 0)
            {
                continue;
            }

            var bad = way.Clear || way.Page ? " bad" : "";
            behind.Add(Svg.Path(PathOf(points, Wide - 10 - (lane * Lane), lane), "net-way" + bad));
            front.Add(
                Svg.Text(
                    Wide - 6 - (ways.Count * Lane),
                    outsideY + 15 + (lane * Lane),
                    "net-way-text" + bad,
                    $"{way.Forward.FromPort} → {way.Who.Name}{(way.IsTunnel ? ", a tunnel" : way.Clear ? ", in the clear" : way.Page ? ", its own page" : ", encrypted")}"
                )
            );
        }
    }

    /// <summary>Down its lane, along above the blocks, down to the first stop; from a reverse proxy on below the blocks.</summary>
    private string PathOf(List<(double X, double Y)> points, double x, int lane)
    {
        var level = points[0].Y - Head + 8 + (lane % 4 * 4);
        var path = $"M{Svg.N(x)} {Svg.N(outsideY)}V{Svg.N(level)}H{Svg.N(points[0].X + 12)}V{Svg.N(points[0].Y)}";
        if (points.Count < 2 || points[1] == points[0])
        {
            return path;
        }

        var end = points[1].Y + (points[1].Y > points[0].Y ? 0 : RailThing.High);
        return path + $"M{Svg.N(points[0].X + 30)} {Svg.N(points[0].Y + RailThing.High)}v7H{Svg.N(points[1].X + 20)}V{Svg.N(end)}";
    }

    /// <summary>A stack without an address of its own has no block; the way leads to the host's.</summary>
    private Holder Stack(GuestId id) =>
        sums.Lab.Guest(id) is { } guest
            ? PortsOf.StackOf(sums.Lab, guest) ?? Holder.Of(guest)
            : new Holder(HolderKind.Guest, id.Value, id.Value);
}
