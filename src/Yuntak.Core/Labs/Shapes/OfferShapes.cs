using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shape of a host that could be bought.</summary>
public static class OfferShapes
{
    private const int MostCores = 4_096;
    private const double MostWatts = 100_000;

    /// <summary>An offer.</summary>
    public static readonly Shape<HostOffer> Offer = new(
        "offer",
        new HostOffer("", 0, 1, ByteSize.FromGiB(1)),
        Of<HostOffer>.Always(
            "name",
            nameof(HostOffer.Name),
            "called",
            Codecs.Name("offer"),
            "",
            o => o.Name,
            (o, v) => o with { Name = v }
        ),
        Of<HostOffer>.Always(
            "price",
            nameof(HostOffer.Price),
            "price",
            Codecs.Number(0, 10_000_000),
            0,
            o => o.Price,
            (o, v) => o with { Price = v }
        ),
        Of<HostOffer>.Always(
            "cores",
            nameof(HostOffer.Cores),
            "cores",
            Codecs.Whole(1, MostCores),
            1,
            o => o.Cores,
            (o, v) => o with { Cores = v }
        ),
        Of<HostOffer>.Maybe(
            "threads",
            nameof(HostOffer.Threads),
            "threads",
            Codecs.Whole(1, MostCores),
            o => o.Threads,
            (o, v) => o with { Threads = v }
        ),
        Of<HostOffer>.Always(
            "memory",
            nameof(HostOffer.Memory),
            "memory",
            Codecs.Size(Prefixes.Binary, ByteSize.FromMiB(256)),
            ByteSize.FromGiB(1),
            o => o.Memory,
            (o, v) => o with { Memory = v }
        ),
        Of<HostOffer>.Value(
            "flash",
            nameof(HostOffer.Flash),
            "flash",
            Codecs.Size(Prefixes.Decimal),
            default,
            o => o.Flash,
            (o, v) => o with { Flash = v }
        ),
        Of<HostOffer>.Value(
            "bulk",
            nameof(HostOffer.Bulk),
            "spinning disks",
            Codecs.Size(Prefixes.Decimal),
            default,
            o => o.Bulk,
            (o, v) => o with { Bulk = v }
        ),
        Of<HostOffer>.Maybe(
            "idle-watts",
            nameof(HostOffer.IdleWatts),
            "watts at rest",
            Codecs.Number(0, MostWatts),
            o => o.IdleWatts,
            (o, v) => o with { IdleWatts = v }
        ),
        Of<HostOffer>.Maybe(
            "full-watts",
            nameof(HostOffer.FullWatts),
            "watts at full load",
            Codecs.Number(0, MostWatts),
            o => o.FullWatts,
            (o, v) => o with { FullWatts = v }
        ),
        Of<HostOffer>.Maybe(
            "network-ports",
            nameof(HostOffer.NetworkPorts),
            "network ports",
            Codecs.Whole(0, 64),
            o => o.NetworkPorts,
            (o, v) => o with { NetworkPorts = v }
        ),
        Of<HostOffer>.Value(
            "architecture",
            nameof(HostOffer.Architecture),
            "processor family",
            Codecs.OneWord(40),
            "x86_64",
            o => o.Architecture,
            (o, v) => o with { Architecture = v }
        ),
        Of<HostOffer>.Value(
            "kind",
            nameof(HostOffer.Type),
            "kind of host",
            Codecs.Word(LabWords.HostTypes),
            HostType.Hypervisor,
            o => o.Type,
            (o, v) => o with { Type = v }
        )
    );
}
