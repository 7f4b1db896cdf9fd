using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of ways in, boxes, other places and shares.</summary>
public static class ReachShapes
{
    /// <summary>A way in from outside.</summary>
    public static readonly Shape<Forward> Forward = new(
        "forward",
        new Forward(0, new GuestId("")),
        Of<Forward>.Always(
            "from-port",
            nameof(Labs.Forward.FromPort),
            "port outside",
            Codecs.Whole(1, 65_535),
            0,
            f => f.FromPort,
            (f, v) => f with { FromPort = v }
        ),
        Of<Forward>.Always(
            "to",
            nameof(Labs.Forward.To),
            "to",
            Codecs.Text(100),
            "",
            f => f.To.Value,
            (f, v) => f with { To = new GuestId(v) }
        ),
        Of<Forward>
            .Maybe("port", nameof(Labs.Forward.Port), "port inside", Codecs.Whole(1, 65_535), f => f.Port, (f, v) => f with { Port = v })
            .Explained("left out: the same as outside"),
        Of<Forward>.Value(
            "protocol",
            nameof(Labs.Forward.Protocol),
            "protocol",
            Codecs.Word(WireWords.Protocols),
            WireProtocol.Tcp,
            f => f.Protocol,
            (f, v) => f with { Protocol = v }
        ),
        Of<Forward>
            .MaybeText(
                "through",
                nameof(Labs.Forward.Through),
                "through",
                Codecs.Text(100),
                f => f.Through?.Value,
                (f, v) => f with { Through = v is null ? null : new GuestId(v) }
            )
            .Explained("the reverse proxy in between"),
        Of<Forward>
            .MaybeText("name", nameof(Labs.Forward.Name), "name outside", WireCodecs.FullName, f => f.Name, (f, v) => f with { Name = v })
            .Explained("what it is called by from outside"),
        Of<Forward>
            .Maybe(
                "certificate",
                nameof(Labs.Forward.Certificate),
                "certificate",
                Codecs.Word(WireWords.Certificates),
                f => f.Certificate,
                (f, v) => f with { Certificate = v }
            )
            .Explained("who vouches for it at the reverse proxy")
    );

    /// <summary>A thing outside the lab.</summary>
    public static readonly Shape<Box> Box = new(
        "box outside the lab",
        new Box(""),
        Of<Box>.Always("name", nameof(Labs.Box.Name), "name", Codecs.Name("box"), "", b => b.Name, (b, v) => b with { Name = v }),
        Of<Box>.Value("does", nameof(Labs.Box.Does), "does", Codecs.Text(200), "", b => b.Does, (b, v) => b with { Does = v }),
        new ListOf<Box, string>(
            "addresses",
            nameof(Labs.Box.Addresses),
            "addresses",
            WireCodecs.Address,
            b => b.Addresses,
            (b, v) => b with { Addresses = v }
        )
        {
            Most = 200,
            None = "none",
        },
        Of<Box>.MaybeText("mac", nameof(Labs.Box.Mac), "hardware address", WireCodecs.Mac, b => b.Mac, (b, v) => b with { Mac = v }),
        new Parts<Box, Listen>(
            "listens",
            nameof(Labs.Box.Listens),
            "port",
            () => WireShapes.Listen,
            WireShapes.Key,
            b => b.Listens,
            (b, v) => b with { Listens = v }
        )
        {
            Most = 200,
        }
    );

    /// <summary>Another place, joined by a tunnel.</summary>
    public static readonly Shape<RemoteSite> Site = new(
        "other place",
        new RemoteSite(""),
        Of<RemoteSite>.Always(
            "name",
            nameof(RemoteSite.Name),
            "name",
            Codecs.Name("place"),
            "",
            s => s.Name,
            (s, v) => s with { Name = v }
        ),
        new ListOf<RemoteSite, string>(
            "prefixes",
            nameof(RemoteSite.Prefixes),
            "networks there",
            WireCodecs.Prefix,
            s => s.Prefixes,
            (s, v) => s with { Prefixes = v }
        )
        {
            Most = 200,
            None = "none",
        },
        Of<RemoteSite>
            .MaybeText(
                "tunnel",
                nameof(RemoteSite.Tunnel),
                "tunnel",
                Codecs.Text(100),
                s => s.Tunnel?.Value,
                (s, v) => s with { Tunnel = v is null ? null : new GuestId(v) }
            )
            .Explained("the guest that keeps it")
    );

    /// <summary>Where a share lies: one of guest, host and box.</summary>
    public static readonly Shape<ShareEnd> End = new(
        "where a share lies",
        new ShareEnd(),
        Of<ShareEnd>.MaybeText(
            "guest",
            nameof(ShareEnd.Guest),
            "guest",
            Codecs.Text(100),
            e => e.Guest?.Value,
            (e, v) => e with { Guest = v is null ? null : new GuestId(v) }
        ),
        Of<ShareEnd>.MaybeText(
            "host",
            nameof(ShareEnd.Host),
            "host",
            Codecs.Text(100),
            e => e.Host?.Value,
            (e, v) => e with { Host = v is null ? null : new HostId(v) }
        ),
        Of<ShareEnd>.MaybeText("box", nameof(ShareEnd.Box), "box", Codecs.Text(100), e => e.Box, (e, v) => e with { Box = v }),
        Of<ShareEnd>.Always("path", nameof(ShareEnd.Path), "folder", WireCodecs.Folder, "", e => e.Path, (e, v) => e with { Path = v })
    );

    /// <summary>A folder exported over the network.</summary>
    public static readonly Shape<NetworkShare> Share = new(
        "share",
        new NetworkShare("", new ShareEnd()),
        Of<NetworkShare>.Always(
            "name",
            nameof(NetworkShare.Name),
            "name",
            Codecs.Name("share"),
            "",
            s => s.Name,
            (s, v) => s with { Name = v }
        ),
        new Part<NetworkShare, ShareEnd>(
            "from",
            nameof(NetworkShare.From),
            "lies",
            () => End,
            s => s.From,
            (s, v) => s with { From = v ?? new ShareEnd() }
        ).IsNeeded(),
        new ListOf<NetworkShare, string>(
            "allow",
            nameof(NetworkShare.Allow),
            "who may",
            WireCodecs.Client,
            s => s.Allow,
            (s, v) => s with { Allow = v }
        )
        {
            Most = 200,
            None = "none",
        }.Explained("addresses, prefixes, accounts, or names of guests and hosts"),
        Of<NetworkShare>.Value(
            "read-only",
            nameof(NetworkShare.ReadOnly),
            "only read",
            Codecs.Flag(),
            false,
            s => s.ReadOnly,
            (s, v) => s with { ReadOnly = v }
        ),
        Of<NetworkShare>.Value(
            "protocol",
            nameof(NetworkShare.Protocol),
            "school",
            Codecs.Word(WireWords.Shares),
            ShareProtocol.Addresses,
            s => s.Protocol,
            (s, v) => s with { Protocol = v }
        ),
        Of<NetworkShare>
            .Maybe("size", nameof(NetworkShare.Size), "size", Codecs.Size(Prefixes.Decimal), s => s.Size, (s, v) => s with { Size = v })
            .Explained("what a host or a box exports; of a guest its bulk data is it")
    );

    /// <summary>A guest's use of a share.</summary>
    public static readonly Shape<ShareMount> Mount = new(
        "use of a share",
        new ShareMount("", ""),
        Of<ShareMount>.Always(
            "share",
            nameof(ShareMount.Share),
            "share",
            Codecs.Text(100),
            "",
            m => m.Share,
            (m, v) => m with { Share = v }
        ),
        Of<ShareMount>.Always("at", nameof(ShareMount.At), "seen at", WireCodecs.Folder, "", m => m.At, (m, v) => m with { At = v }),
        Of<ShareMount>.Value(
            "by",
            nameof(ShareMount.By),
            "mounted",
            Codecs.Word(WireWords.Mounts),
            MountBy.Host,
            m => m.By,
            (m, v) => m with { By = v }
        ),
        Of<ShareMount>
            .Value(
                "library",
                nameof(ShareMount.Library),
                "in place of bulk data",
                Codecs.Flag(),
                false,
                m => m.Library,
                (m, v) => m with { Library = v }
            )
            .Explained("the guest keeps no bulk data of its own beside it")
    );

    /// <summary>An address kept for a hardware address.</summary>
    public static readonly Shape<Reservation> Reservation = new(
        "reservation",
        new Reservation("", "", ""),
        Of<Reservation>.Always(
            "address",
            nameof(Labs.Reservation.Address),
            "address",
            WireCodecs.Address,
            "",
            r => r.Address,
            (r, v) => r with { Address = v }
        ),
        Of<Reservation>.Always(
            "mac",
            nameof(Labs.Reservation.Mac),
            "hardware address",
            WireCodecs.Mac,
            "",
            r => r.Mac,
            (r, v) => r with { Mac = v }
        ),
        Of<Reservation>.Always(
            "name",
            nameof(Labs.Reservation.Name),
            "name",
            WireCodecs.HostName,
            "",
            r => r.Name,
            (r, v) => r with { Name = v }
        )
    );
}
