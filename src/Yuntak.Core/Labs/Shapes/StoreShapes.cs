using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shape of a store.</summary>
public static class StoreShapes
{
    /// <summary>A store.</summary>
    public static readonly Shape<Store> Store = new(
        "store",
        new Store(""),
        Of<Store>.Always("name", nameof(Labs.Store.Name), "name", Codecs.Name("store"), "", r => r.Name, (r, v) => r with { Name = v }),
        Of<Store>
            .MaybeText(
                "guest",
                nameof(Labs.Store.Guest),
                "backup guest",
                Codecs.Text(100),
                r => r.Guest?.Value,
                (r, v) => r with { Guest = v is null ? null : new GuestId(v) }
            )
            .Explained("the backup guest whose bulk data it is"),
        Of<Store>
            .MaybeText(
                "host",
                nameof(Labs.Store.Host),
                "host",
                Codecs.Text(100),
                r => r.Host?.Value,
                (r, v) => r with { Host = v is null ? null : new HostId(v) }
            )
            .Explained("the host it lies on, or a carried disk is plugged into"),
        Of<Store>.MaybeText("pool", nameof(Labs.Store.Pool), "pool", Codecs.Text(100), r => r.Pool, (r, v) => r with { Pool = v }),
        Of<Store>
            .MaybeText("box", nameof(Labs.Store.Box), "box", Codecs.Text(100), r => r.Box, (r, v) => r with { Box = v })
            .Explained("the box outside the lab it is"),
        Of<Store>
            .MaybeText("place", nameof(Labs.Store.Place), "place", Codecs.Text(100), r => r.Place, (r, v) => r with { Place = v })
            .Explained("where it is, when that is not the house"),
        Of<Store>
            .Value("carried", nameof(Labs.Store.Carried), "carried", Codecs.Flag(), false, r => r.Carried, (r, v) => r with { Carried = v })
            .Explained("a disk that is unplugged and carried away between copies"),
        Of<Store>
            .Maybe("room", nameof(Labs.Store.Room), "room", Codecs.Size(Prefixes.Decimal), r => r.Room, (r, v) => r with { Room = v })
            .IsKnown()
            .Explained("left out: what its pool leaves"),
        Of<Store>.Value(
            "deduplicates",
            nameof(Labs.Store.Deduplicates),
            "keeps what is the same once",
            Codecs.Flag(),
            false,
            r => r.Deduplicates,
            (r, v) => r with { Deduplicates = v }
        ),
        Of<Store>
            .Maybe(
                "reduction",
                nameof(Labs.Store.Reduction),
                "times smaller",
                Codecs.Number(1, 100),
                r => r.Reduction,
                (r, v) => r with { Reduction = v }
            )
            .IsKnown()
            .Explained("as measured"),
        Of<Store>.Value(
            "encrypted",
            nameof(Labs.Store.Encrypted),
            "encrypted",
            Codecs.Flag(),
            false,
            r => r.Encrypted,
            (r, v) => r with { Encrypted = v }
        ),
        new ListOf<Store, string>(
            "keys",
            nameof(Labs.Store.Keys),
            "copies of the key",
            Codecs.Text(200),
            r => r.Keys,
            (r, v) => r with { Keys = v }
        )
        {
            Most = 20,
            None = "nowhere",
        }.Explained("where copies of the key lie; a name of a host or guest means on it"),
        Of<Store>
            .Maybe("key-tried", nameof(Labs.Store.KeyTried), "key tried", Codecs.Day, r => r.KeyTried, (r, v) => r with { KeyTried = v })
            .IsKnown(),
        Of<Store>
            .Value(
                "unchangeable",
                nameof(Labs.Store.Unchangeable),
                "cannot be changed",
                Codecs.Flag(),
                false,
                r => r.Unchangeable,
                (r, v) => r with { Unchangeable = v }
            )
            .Explained("copies cannot be changed or deleted before their time, whoever asks"),
        Of<Store>
            .Maybe(
                "medium",
                nameof(Labs.Store.Medium),
                "medium",
                Codecs.Word(CopyWords.Mediums),
                r => r.Medium,
                (r, v) => r with { Medium = v }
            )
            .IsKnown()
            .Explained("left out: what its pool is made of"),
        Of<Store>
            .Maybe(
                "line",
                nameof(Labs.Store.Line),
                "line, Mbit/s",
                Codecs.Number(0.01, 1_000_000),
                r => r.Line,
                (r, v) => r with { Line = v }
            )
            .IsKnown()
            .Explained("what the line to it carries, in Mbit/s; left out: the links of the house"),
        Of<Store>
            .Maybe(
                "writes",
                nameof(Labs.Store.Writes),
                "takes in, MB/s",
                Codecs.Number(JobShapes.LeastRate, JobShapes.MostRate),
                r => r.Writes,
                (r, v) => r with { Writes = v }
            )
            .IsKnown()
            .Explained("as measured"),
        Of<Store>
            .Maybe(
                "reads",
                nameof(Labs.Store.Reads),
                "gives out, MB/s",
                Codecs.Number(JobShapes.LeastRate, JobShapes.MostRate),
                r => r.Reads,
                (r, v) => r with { Reads = v }
            )
            .IsKnown()
            .Explained("as measured"),
        Of<Store>.Value(
            "checks-new",
            nameof(Labs.Store.ChecksNew),
            "new copies read back",
            Codecs.Flag(),
            false,
            r => r.ChecksNew,
            (r, v) => r with { ChecksNew = v }
        ),
        Of<Store>
            .Maybe(
                "checks-days",
                nameof(Labs.Store.ChecksDays),
                "all read back, every days",
                Codecs.Whole(1, 3_650),
                r => r.ChecksDays,
                (r, v) => r with { ChecksDays = v }
            )
            .Explained("after how many days all copies are read back again"),
        Of<Store>.MaybeText(
            "checks-at",
            nameof(Labs.Store.ChecksAt),
            "read back at",
            CopyCodecs.Times,
            r => r.ChecksAt,
            (r, v) => r with { ChecksAt = v }
        ),
        Of<Store>
            .MaybeText(
                "thins-at",
                nameof(Labs.Store.ThinsAt),
                "thinned at",
                CopyCodecs.Times,
                r => r.ThinsAt,
                (r, v) => r with { ThinsAt = v }
            )
            .Explained("left out: after each job"),
        Of<Store>
            .MaybeText(
                "tidies-at",
                nameof(Labs.Store.TidiesAt),
                "tidied at",
                CopyCodecs.Times,
                r => r.TidiesAt,
                (r, v) => r with { TidiesAt = v }
            )
            .Explained("left out: at once"),
        Of<Store>
            .Value(
                "stands",
                nameof(Labs.Store.Stands),
                "is set up already",
                Codecs.Flag(),
                false,
                r => r.Stands,
                (r, v) => r with { Stands = v }
            )
            .IsSilent()
            .IsKnown()
            .Explained("in a file: it is set up already")
    );
}
