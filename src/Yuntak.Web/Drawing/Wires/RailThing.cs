using System.Xml.Linq;
using Yuntak.Core.Addresses;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Wires;

namespace Yuntak.Web.Drawing.Wires;

/// <summary>Somebody who hangs from a rail: a guest's block, a host's frame or a box's, with the keyholes below.</summary>
internal sealed class RailThing
{
    /// <summary>How high a block is.</summary>
    public const double High = 26;

    private const double Letter = 5.9;
    private const int MostKeyholes = 3;
    private readonly Sums sums;
    private readonly Prefix? prefix;

    /// <param name="held">The place it hangs from.</param>
    /// <param name="sums">The sums of the lab.</param>
    /// <param name="prefix">The prefix of the network.</param>
    public RailThing(HeldAddress held, Sums sums, Prefix? prefix)
    {
        (Held, this.sums, this.prefix) = (held, sums, prefix);
        Guest = held.Who.Kind == HolderKind.Guest ? sums.Lab.Guest(new GuestId(held.Who.Id)) : null;
    }

    /// <summary>The place it hangs from.</summary>
    public HeldAddress Held { get; }

    /// <summary>The guest; null for a host or a box.</summary>
    public Guest? Guest { get; }

    private string Link =>
        Held.Who.Kind switch
        {
            HolderKind.Guest => $"/Wires?guest={Uri.EscapeDataString(Held.Who.Id)}",
            HolderKind.Host => $"/Wires?host={Uri.EscapeDataString(Held.Who.Id)}",
            HolderKind.Box => $"/Wires?box={Uri.EscapeDataString(Held.Who.Id)}",
        };

    /// <summary>The line from its rail, with a knot that says how it comes by its address.</summary>
    public IEnumerable<XElement> Drop(double x, double rail, double top, double width)
    {
        var middle = x + (width / 2);
        yield return Svg.Line(middle, rail, middle, top, Held.Address is null ? "net-drop loose" : "net-drop");
        yield return Svg.Circle(middle, rail, 3.4, Held.How == AddressHow.Fixed ? "net-knot set" : "net-knot");
    }

    /// <summary>Its address beside the line.</summary>
    public XElement Address(double x, double top, double width) =>
        Svg.Text(
            x + (width / 2) + 5,
            top - 5,
            "net-address",
            Held.Address is null ? "handed out"
                : prefix is null ? IpText.Tail(Held.Address.ToString())
                : RulerDrawing.Tail(Held.Address.ToString(), prefix)
        );

    /// <summary>Its block with the keyholes below; a guest's can be dragged.</summary>
    public XElement Block(double x, double top, double width)
    {
        var name = RailsDrawing.Fit(Held.Who.Name, (int)((width - 6) / Letter));
        var block = Svg.Group(
            "net-thing",
            [
                .. Guest is null
                    ? [Svg.Rect(x, top, width, High, Held.Who.Kind == HolderKind.Host ? "net-host" : "net-outer", 2)]
                    : Shapes.Block(x, top, width, High, Guest.Kind, sums.Guest(Guest.Id).Leading.Family.Css()),
                Svg.Text(x + (width / 2), top + 17, Guest is null ? "net-outer-name" : "block-name", name),
                .. Keyholes(x, top + High + 4),
            ]
        );
        var link = Svg.Link(Link, block);
        if (Guest is not null)
        {
            link.SetAttributeValue("class", "look gst");
            link.SetAttributeValue("data-guest", Guest.Id.Value);
            link.SetAttributeValue("data-name", Guest.Name);
            link.SetAttributeValue("data-network", Held.Network.Name);
        }

        return link;
    }

    /// <summary>The ports at this stack: its own and those of the app stacks that publish at its addresses.</summary>
    private IEnumerable<XElement> Keyholes(double x, double y)
    {
        var open = sums.Wires.WaysIn.Where(w => w.Clear || w.Page).Select(w => (w.Who.Id, w.Port)).ToHashSet();
        var ports = sums
            .Wires.Ports.Where(p => p.Stack == Held.Who && !p.OnlyHere)
            .GroupBy(p => p.Port)
            .Select(g =>
                (
                    Port: g.Key,
                    Bad: g.Any(p => p.Who.Kind == HolderKind.Guest && open.Contains((new GuestId(p.Who.Id), p.Port))),
                    Clash: sums.Wires.Clashes.Any(c => c.Stack == Held.Who && c.Port == g.Key)
                )
            )
            .OrderByDescending(p => p.Bad || p.Clash)
            .ThenBy(p => p.Port)
            .ToList();
        var shown = ports.Take(ports.Count > MostKeyholes ? MostKeyholes - 1 : MostKeyholes).ToList();
        var at = x;
        foreach (var port in shown)
        {
            var text = $"{port.Port}";
            var wide = (text.Length * 6.2) + 9;
            yield return Svg.Rect(at, y, wide, 15, port.Bad || port.Clash ? "net-key bad" : "net-key", 7.5);
            yield return Svg.Text(at + (wide / 2), y + 11, port.Bad || port.Clash ? "net-hole bad" : "net-hole", text);
            at += wide + 2;
        }

        if (ports.Count > shown.Count)
        {
            yield return Svg.Text(at + 12, y + 11, "net-hole more", $"+{ports.Count - shown.Count}");
        }
    }
}
