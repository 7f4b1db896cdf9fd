using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Findings;

/// <summary>A lab for each fault the rules about networks look out for.</summary>
internal static class WireFaults
{
    public static IEnumerable<(string Rule, Lab Lab)> All()
    {
        yield return ("wires.port-clash", Two(Stack("names", 443), Stack("cloud", 443)));
        yield return ("wires.address-clash", Two(At("10.40.7.20"), At("10.40.7.20", "cloud")));
        yield return ("wires.address-outside", Two(At("10.40.7.255")));
        yield return (
            "wires.address-in-range",
            Two(At("10.40.7.120")).Net(n => n with { HandedOut = "10.40.7.100-10.40.7.199", Addresses = AddressSchool.Fixed })
        );
        yield return ("wires.server-changes", Two(At(null) with { Listens = [new Listen(80)] }));
        yield return ("wires.mac-twice", Two(At("10.40.7.20", mac: "02:00:5e:10:00:01"), At("10.40.7.21", "cloud", "02:00:5e:10:00:01")));
        yield return ("wires.name-twice", Two(At("10.40.7.20") with { Aliases = ["films"] }, At("10.40.7.21", "films")));
        yield return ("wires.number-differs", Two(At("10.40.7.20") with { Number = 30 }).Net(n => n with { Numbered = true }));
        yield return ("wires.router-one-leg", Two(Router(new Leg("household", "10.40.7.1"))));
        yield return ("wires.router-no-autostart", Two(Small.Guest("gate", "router") with { Autostart = false }));
        yield return (
            "wires.default-router-address",
            Two(Router(new Leg("old", "192.168.1.2"), new Leg("outside"))) with
            {
                Networks = [.. Networks, new Network("old", "192.168.1.0/24", "192.168.1.1")],
            }
        );
        yield return ("wires.double-translation", Two(Router(new Leg("outside", "192.168.0.20"), new Leg("household", "10.40.7.1"))));
        yield return (
            "wires.no-such-port",
            Two()
                .Bridged(new PlannedBridge("br0", "eno9"))
                .WithHost(new HostId("kiln"), h => h.With(new Hardware(Ports: [new NetworkPort("eno1")])))
        );
        yield return ("wires.no-bridge", Two(At("10.40.20.2", network: "cameras")).Bridged(new PlannedBridge("br9")));
        yield return (
            "wires.tag-on-plain-bridge",
            Two(At("10.40.20.2", network: "cameras")).Bridged(new PlannedBridge("br0", "eno1", Networks: ["cameras"]))
        );
        yield return (
            "wires.mtu-differs",
            Two().Bridged(new PlannedBridge("br0", "eno1", Networks: ["household"], Mtu: 9000)).Net(n => n with { Mtu = 1500 })
        );
        yield return (
            "wires.cameras-way-out",
            Two() with
            {
                Networks = [.. Networks.Change(n => n.Name == "cameras", n => n with { Gateway = "10.40.20.1" })],
            }
        );
        yield return ("wires.page-outside", Opened(new Listen(8443, Page: true, Encrypted: true, Login: true)));
        yield return ("wires.clear-outside", Opened(new Listen(80, Login: true)));
        yield return ("wires.no-login-outside", Opened(new Listen(443, Login: false)));
        yield return (
            "wires.way-in-twice",
            Two(At("10.40.7.20") with { Listens = [new Listen(443)] }, At("10.40.7.21", "cloud") with { Listens = [new Listen(443)] }) with
            {
                Forwards =
                [
                    new Forward(443, new GuestId("notes"), Name: "a.example"),
                    new Forward(443, new GuestId("cloud"), Name: "b.example"),
                ],
            }
        );
        yield return ("wires.way-nowhere", Opened(new Listen(443), port: 8443));
        yield return ("wires.sites-overlap", Two() with { Sites = [new RemoteSite("boathouse", ["10.40.7.128/25"])] });
        yield return (
            "wires.served-twice",
            Two(
                At("10.40.7.20") with
                {
                    Listens = [new Listen(67, WireProtocol.Udp)],
                },
                At("10.40.7.21", "cloud") with
                {
                    Listens = [new Listen(67, WireProtocol.Udp)],
                }
            )
        );
        yield return ("wires.mounts-itself", Sharing(GuestKind.SystemContainer, MountBy.Guest, "10.40.7.20"));
        yield return ("wires.share-not-allowed", Sharing(GuestKind.Machine, MountBy.Guest, "10.40.7.99"));
        yield return (
            "wires.share-nowhere",
            Two(At("10.40.7.20") with { Mounts = [new ShareMount("films", "/srv/films", MountBy.Guest)] }, Small.Guest("store"))
                .With(GuestEdits.TakeOff(new GuestId("store"))) with
            {
                Shares = [new NetworkShare("films", new ShareEnd(Guest: new GuestId("store"), Path: "/films"), ["10.40.7.20"])],
            }
        );
        yield return ("wires.link-full", Reading(10));
    }

    /// <summary>A library on kiln that is read from wren at 16 Mbit/s, over a wire of so many Mbit/s.</summary>
    public static Lab Reading(double mbps) =>
        Small
            .Lab(
                Small.Host("kiln").With(new Hardware(LinkSpeeds: [new LinkSpeed("kiln", "wren", Core.Units.DataRate.FromMbps(mbps))])),
                Small.Host("wren", 64)
            )
            .WithGuestOn(Small.Guest("owl", "camera-recorder", GuestKind.Machine, new LoadValue("days", 1)), "wren")
            .With(ReachEdits.Share(new NetworkShare("films", new ShareEnd(Host: new HostId("kiln"), Path: "/ember/films"), ["wren"])))
            .With(ReachEdits.Mount(new GuestId("owl"), new ShareMount("films", "/srv/films", MountBy.Host, Library: true)));

    private static ValueList<Network> Networks =>
        [
            new Network("household", "10.40.7.0/24", "10.40.7.1"),
            new Network("cameras", "10.40.20.0/24", Purpose: NetworkPurpose.Cameras, Tag: 20),
            new Network("outside", Purpose: NetworkPurpose.Outside),
        ];

    /// <summary>A host with these guests, on networks nobody complains about. Guests are put there before they are wired, as their edits want the networks first.</summary>
    private static Lab Two(params Guest[] guests)
    {
        var lab = Small.Lab(Small.Host("kiln", 64, 8, 16)) with { Networks = [.. Networks, new Network("old", "192.168.1.0/24")] };
        foreach (var guest in guests)
        {
            lab = lab.WithGuestOn(guest with { Mounts = [] }, "kiln").WithGuest(guest.Id, g => g with { Mounts = guest.Mounts });
        }

        return lab with
        {
            Networks = Networks,
        };
    }

    private static Guest At(string? address, string name = "notes", string? mac = null, string network = "household") =>
        Small.Guest(name) with
        {
            Interfaces = [new Leg(network, address, mac)],
        };

    private static Guest Stack(string name, int port) =>
        Small.Guest(name, "file-cloud", GuestKind.AppStack, new LoadValue("quota", 10)) with
        {
            Listens = [new Listen(port)],
        };

    private static Guest Router(params Leg[] legs) => Small.Guest("gate", "router") with { Interfaces = [.. legs] };

    private static Lab Opened(Listen listen, int? port = null) =>
        Two(At("10.40.7.20") with { Listens = [listen] }) with
        {
            Forwards = [new Forward(port ?? listen.Port, new GuestId("notes"))],
        };

    private static Lab Sharing(GuestKind kind, MountBy by, string allowed) =>
        Two(
            Small.Guest("notes", kind: kind) with
            {
                Interfaces = [new Leg("household", "10.40.7.20")],
                Mounts = [new ShareMount("films", "/srv/films", by)],
            }
        ) with
        {
            Boxes = [new Box("oldstore", Addresses: ["10.40.7.5"])],
            Shares = [new NetworkShare("films", new ShareEnd(Box: "oldstore", Path: "/films"), [allowed, "kiln"])],
        };

    private static Lab Net(this Lab lab, Func<Network, Network> change) =>
        lab with
        {
            Networks = lab.Networks.Change(n => n.Name == "household", change),
        };

    private static Lab Bridged(this Lab lab, PlannedBridge bridge) =>
        lab.WithHost(lab.Hosts[0].Id, h => h with { Wires = new HostWires([bridge]) });
}
