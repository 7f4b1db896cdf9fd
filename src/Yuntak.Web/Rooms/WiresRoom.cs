using Yuntak.Core.Findings;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Rooms;

/// <summary>Networks, addresses, ports, shares, and what the outside reaches.</summary>
public sealed class WiresRoom : Room
{
    public override Station? Station => Core.Findings.Station.Wires;

    public override IReadOnlyList<RoomPage> Pages =>
        [
            new("/Wires", new Picture("wires", Height: 1000)),
            new("/Wires?guest=pressbook"),
            new("/Wires?guest=gatehouse") { IsView = false },
            new("/Wires?network=household") { IsView = false },
            new("/Wires?host=kiln"),
            new("/Wires?box=old%20router") { IsView = false },
            new("/Wires?guest=nobody") { IsView = false },
            new("/Wires/Plan"),
            new("/Wires/Outside?guest=pressbook"),
            new("/Wires/Boot") { IsView = false },
        ];

    public override IEnumerable<Hit> Answers(Desk desk) =>
        desk
            .Lab.Networks.Select(n => new Hit(
                HitKind.Thing,
                $"network {n.Name}",
                n.Prefix ?? n.Purpose.ToString(),
                $"/Wires?network={Escaped(n.Name)}"
            ))
            .Concat(
                desk.Assessment.Wires.Networks.SelectMany(n => n.Held)
                    .Where(h => h.Address is not null)
                    .Select(h => new Hit(
                        HitKind.Thing,
                        h.Address!.ToString(),
                        $"{h.Who.Name} on {h.Network.Name}",
                        $"/Wires/Plan#net-{Core.Base.Names.Slug(h.Network.Name)}"
                    ))
            )
            .Append(new Hit(HitKind.Page, "Address plan", "who has which address, labels to print", "/Wires/Plan"))
            .Append(new Hit(HitKind.Page, "Ways in from outside", "tunnel, reverse proxy or plain forward", "/Wires/Outside"))
            .Append(new Hit(HitKind.Page, "Starting over the network", "server, files and options for the router", "/Wires/Boot"));
}
