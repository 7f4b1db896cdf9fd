using Yuntak.Core.Shapes;

namespace Yuntak.Core.Labs;

/// <summary>What a guest has of networks.</summary>
internal static class GuestWireShapes
{
    internal static readonly Field<Guest> Interfaces = new Parts<Guest, Leg>(
        "interfaces",
        nameof(Guest.Interfaces),
        "interface",
        () => WireShapes.Leg,
        l => l.Network,
        g => g.Interfaces,
        (g, v) => g with { Interfaces = v }
    )
    {
        Most = 16,
        Words = l => $"on {l.Network}{(l.Address is null ? "" : $" at {l.Address}")}",
        Before = l => $"on {l.Network}:",
    }.Explained("app stacks too, where one has an address of its own");

    internal static readonly Field<Guest> Listens = new Parts<Guest, Listen>(
        "listens",
        nameof(Guest.Listens),
        "port",
        () => WireShapes.Listen,
        WireShapes.Key,
        g => g.Listens,
        (g, v) => g with { Listens = v }
    )
    {
        Most = 200,
        Words = l => $"port {l.Port}/{l.Protocol.Word()}",
        Before = l => $"port {l.Port}:",
    }.Explained("left out: the ports said, else those a published standard names");

    internal static readonly Field<Guest> Mounts = new Parts<Guest, ShareMount>(
        "mounts",
        nameof(Guest.Mounts),
        "share used",
        () => ReachShapes.Mount,
        m => m.Share,
        g => g.Mounts,
        (g, v) => g with { Mounts = v }
    )
    {
        Most = 50,
        Words = m => $"share {m.Share} at {m.At}",
    };

    internal static readonly Field<Guest> Aliases = new ListOf<Guest, string>(
        "names",
        nameof(Guest.Aliases),
        "further names",
        WireCodecs.HostName,
        g => g.Aliases,
        (g, v) => g with { Aliases = v }
    )
    {
        Most = 20,
        None = "none",
    }
        .IsKnown()
        .Explained("on the network, beside its own");

    internal static readonly Field<Guest> Number = Of<Guest>
        .Maybe("number", nameof(Guest.Number), "number", Codecs.Whole(1, 1_000_000), g => g.Number, (g, v) => g with { Number = v })
        .IsKnown()
        .Explained("the last part of its address, on networks that follow numbers");

    internal static readonly Field<Guest> Autostart = Of<Guest>
        .Maybe(
            "autostart",
            nameof(Guest.Autostart),
            "starts with its host",
            Codecs.Flag(),
            g => g.Autostart,
            (g, v) => g with { Autostart = v }
        )
        .IsKnown()
        .Explained("left out: the runbook sees to it");
}
