using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of what is planned on networks.</summary>
public static class WireShapes
{
    /// <summary>A planned network.</summary>
    public static readonly Shape<Network> Network = new(
        "network",
        new Network(""),
        Of<Network>.Always(
            "name",
            nameof(Labs.Network.Name),
            "name",
            Codecs.Name("network"),
            "",
            n => n.Name,
            (n, v) => n with { Name = v }
        ),
        Of<Network>.MaybeText(
            "prefix",
            nameof(Labs.Network.Prefix),
            "prefix",
            WireCodecs.Prefix,
            n => n.Prefix,
            (n, v) => n with { Prefix = v }
        ),
        Of<Network>.MaybeText(
            "gateway",
            nameof(Labs.Network.Gateway),
            "gateway",
            WireCodecs.Address,
            n => n.Gateway,
            (n, v) => n with { Gateway = v }
        ),
        Of<Network>.MaybeText(
            "handed-out",
            nameof(Labs.Network.HandedOut),
            "addresses handed out",
            WireCodecs.Range,
            n => n.HandedOut,
            (n, v) => n with { HandedOut = v }
        ),
        Of<Network>.Value(
            "purpose",
            nameof(Labs.Network.Purpose),
            "purpose",
            Codecs.Word(WireWords.Purposes),
            NetworkPurpose.Household,
            n => n.Purpose,
            (n, v) => n with { Purpose = v }
        ),
        Of<Network>
            .Maybe("tag", nameof(Labs.Network.Tag), "tag", Codecs.Whole(1, 4094), n => n.Tag, (n, v) => n with { Tag = v })
            .Explained("IEEE 802.1Q, where several networks share a wire"),
        Of<Network>.Value(
            "addresses",
            nameof(Labs.Network.Addresses),
            "addresses that stay are",
            Codecs.Word(WireWords.Schools),
            AddressSchool.Reserved,
            n => n.Addresses,
            (n, v) => n with { Addresses = v }
        ),
        Of<Network>
            .Value(
                "numbered",
                nameof(Labs.Network.Numbered),
                "guests numbered by address",
                Codecs.Flag(),
                false,
                n => n.Numbered,
                (n, v) => n with { Numbered = v }
            )
            .Explained("a guest's number is the last part of its address"),
        Of<Network>
            .Maybe("mtu", nameof(Labs.Network.Mtu), "largest packet", Codecs.Whole(576, 9216), n => n.Mtu, (n, v) => n with { Mtu = v })
            .Explained("bytes; 1,500 when left out")
    );

    /// <summary>A place on a network.</summary>
    public static readonly Shape<Leg> Leg = new(
        "interface",
        new Leg(""),
        Of<Leg>.Always(
            "network",
            nameof(Labs.Leg.Network),
            "network",
            Codecs.Text(100),
            "",
            l => l.Network,
            (l, v) => l with { Network = v }
        ),
        Of<Leg>
            .MaybeText("address", nameof(Labs.Leg.Address), "address", WireCodecs.Address, l => l.Address, (l, v) => l with { Address = v })
            .Explained("left out: handed out"),
        Of<Leg>
            .MaybeText("mac", nameof(Labs.Leg.Mac), "hardware address", WireCodecs.Mac, l => l.Mac, (l, v) => l with { Mac = v })
            .Explained("left out: worked out, and always the same"),
        Of<Leg>
            .MaybeText("bridge", nameof(Labs.Leg.Bridge), "bridge", WireCodecs.Device, l => l.Bridge, (l, v) => l with { Bridge = v })
            .Explained("left out: the one that carries the network")
    );

    /// <summary>A planned bridge.</summary>
    public static readonly Shape<PlannedBridge> Bridge = new(
        "planned bridge",
        new PlannedBridge(""),
        Of<PlannedBridge>.Always(
            "name",
            nameof(PlannedBridge.Name),
            "name",
            WireCodecs.Device,
            "",
            b => b.Name,
            (b, v) => b with { Name = v }
        ),
        Of<PlannedBridge>
            .MaybeText("port", nameof(PlannedBridge.Port), "port", WireCodecs.Device, b => b.Port, (b, v) => b with { Port = v })
            .Explained("left out: private, nobody outside the host sees it"),
        Of<PlannedBridge>.Value(
            "aware",
            nameof(PlannedBridge.Aware),
            "keeps tagged networks apart",
            Codecs.Flag(),
            false,
            b => b.Aware,
            (b, v) => b with { Aware = v }
        ),
        new ListOf<PlannedBridge, string>(
            "networks",
            nameof(PlannedBridge.Networks),
            "carries",
            Codecs.Text(100),
            b => b.Networks,
            (b, v) => b with { Networks = v }
        )
        {
            Most = 200,
            None = "none",
        },
        Of<PlannedBridge>.Maybe(
            "mtu",
            nameof(PlannedBridge.Mtu),
            "largest packet",
            Codecs.Whole(576, 9216),
            b => b.Mtu,
            (b, v) => b with { Mtu = v }
        )
    );

    /// <summary>A port something answers on.</summary>
    public static readonly Shape<Listen> Listen = new(
        "port answered on",
        new Listen(0),
        Of<Listen>.Always("port", nameof(Labs.Listen.Port), "port", Codecs.Whole(1, 65_535), 0, l => l.Port, (l, v) => l with { Port = v }),
        Of<Listen>.Value(
            "protocol",
            nameof(Labs.Listen.Protocol),
            "protocol",
            Codecs.Word(WireWords.Protocols),
            WireProtocol.Tcp,
            l => l.Protocol,
            (l, v) => l with { Protocol = v }
        ),
        Of<Listen>
            .MaybeText(
                "address",
                nameof(Labs.Listen.Address),
                "at the address",
                WireCodecs.Listening,
                l => l.Address,
                (l, v) => l with { Address = v }
            )
            .Explained("left out: at all of its addresses"),
        Of<Listen>
            .Maybe(
                "inside",
                nameof(Labs.Listen.Inside),
                "port inside",
                Codecs.Whole(1, 65_535),
                l => l.Inside,
                (l, v) => l with { Inside = v }
            )
            .Explained("app stacks: the port in the container, where it is another"),
        Of<Listen>.Value(
            "page",
            nameof(Labs.Listen.Page),
            "a page for looking after it",
            Codecs.Flag(),
            false,
            l => l.Page,
            (l, v) => l with { Page = v }
        ),
        Of<Listen>.Maybe(
            "encrypted",
            nameof(Labs.Listen.Encrypted),
            "encrypted",
            Codecs.Flag(),
            l => l.Encrypted,
            (l, v) => l with { Encrypted = v }
        ),
        Of<Listen>.Maybe(
            "login",
            nameof(Labs.Listen.Login),
            "asks who is there",
            Codecs.Flag(),
            l => l.Login,
            (l, v) => l with { Login = v }
        )
    );

    /// <summary>What is planned for a host on the networks.</summary>
    public static readonly Shape<HostWires> Wires = new(
        "plan of a host",
        HostWires.None,
        new Parts<HostWires, PlannedBridge>(
            "bridges",
            nameof(HostWires.Bridges),
            "bridge",
            () => Bridge,
            b => b.Name,
            w => w.Bridges,
            (w, v) => w with { Bridges = v }
        )
        {
            Most = 100,
        },
        new Parts<HostWires, Leg>(
            "interfaces",
            nameof(HostWires.Interfaces),
            "interface",
            () => Leg,
            l => l.Network,
            w => w.Interfaces,
            (w, v) => w with { Interfaces = v }
        )
        {
            Most = 50,
        },
        new Parts<HostWires, Listen>(
            "listens",
            nameof(HostWires.Listens),
            "port",
            () => Listen,
            Key,
            w => w.Listens,
            (w, v) => w with { Listens = v }
        )
        {
            Most = 200,
        }
    );

    /// <summary>What a port is known by among the others of one thing.</summary>
    internal static string Key(Listen listen) => $"{listen.Port}/{listen.Protocol.Word()}@{listen.Address}";
}
