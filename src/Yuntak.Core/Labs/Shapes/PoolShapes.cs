using System.Text.Json.Nodes;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shape of a pool.</summary>
public static class PoolShapes
{
    private static readonly Codec<string> Text = Codecs.Text(200);
    private static readonly Codec<string> Path = Codecs.Text(400);

    /// <summary>A pool. What is only said of it needs no work; its name, layout, disks and encryption do.</summary>
    public static readonly Shape<Pool> Pool = new(
        "pool",
        new Pool("", PoolLayout.Single, PoolFamily.BlockArray, []),
        Of<Pool>
            .Always("name", nameof(Labs.Pool.Name), "name", Codecs.Name("pool"), "", p => p.Name, (p, v) => p with { Name = v })
            .Saying((was, now) => $"is called {now.Name} now"),
        Of<Pool>.Always(
            "layout",
            nameof(Labs.Pool.Layout),
            "layout",
            Codecs.Word(LabWords.Layouts),
            PoolLayout.Single,
            p => p.Layout,
            (p, v) => p with { Layout = v }
        ),
        Of<Pool>
            .Value(
                "family",
                nameof(Labs.Pool.Family),
                "family",
                Codecs.Word(LabWords.Families),
                PoolFamily.BlockArray,
                p => p.Family,
                (p, v) => p with { Family = v }
            )
            .LeftOutWhen((_, _) => false),
        new ListOf<Pool, string>("disks", nameof(Labs.Pool.DiskIds), "disks", Text, p => p.DiskIds, (p, v) => p with { DiskIds = v })
        {
            Most = 240,
            Always = true,
        }.IsNeeded(),
        new Extra<Pool>(
            "missing",
            "disks that are no longer in the host",
            "a list of disk ids",
            () =>
                new JsonObject
                {
                    ["type"] = "array",
                    ["items"] = new JsonObject { ["type"] = "string" },
                }
        ).Explained("those of its disks that are no longer in the host"),
        Of<Pool>.Value(
            "groups",
            nameof(Labs.Pool.Groups),
            "groups",
            Codecs.Whole(1, 60),
            1,
            p => p.Groups,
            (p, v) => p with { Groups = v }
        ),
        new ListOf<Pool, ContentKind>(
            "takes",
            nameof(Labs.Pool.Takes),
            "is for",
            Codecs.Word(LabWords.Contents),
            p => p.Takes,
            (p, v) => p with { Takes = v }
        )
            .Saying((_, p) => $"is for {(p.Takes.Count == 0 ? "anything" : string.Join(", ", p.Takes.Select(t => t.Words())))}")
            .IsKnown(),
        Of<Pool>
            .Maybe(
                "encrypted",
                nameof(Labs.Pool.Encrypted),
                "encrypted",
                Codecs.Flag(),
                p => p.Encrypted,
                (p, v) => p with { Encrypted = v }
            )
            .Saying((_, p) => $"is {(p.Encrypted == true ? "" : "not ")}encrypted"),
        new ListOf<Pool, string>(
            "key-in",
            nameof(Labs.Pool.KeyPlaces),
            "places of its key",
            Text,
            p => p.KeyPlaces,
            (p, v) => p with { KeyPlaces = v }
        )
        {
            Most = 10,
        }
            .Saying((_, p) => $"has its key in {Numbers.Count(p.KeyPlaces.Count, "place")}")
            .IsKnown(),
        Of<Pool>
            .Maybe(
                "scrub-days",
                nameof(Labs.Pool.ScrubDays),
                "days between scrubs",
                Codecs.Whole(0, 3660),
                p => p.ScrubDays,
                (p, v) => p with { ScrubDays = v }
            )
            .Saying((_, p) => p.ScrubDays is > 0 and var days ? $"is scrubbed every {Numbers.Count(days, "day")}" : "is not scrubbed")
            .IsKnown(),
        Of<Pool>
            .Value("thin", nameof(Labs.Pool.Thin), "thin", Codecs.Flag(), false, p => p.Thin, (p, v) => p with { Thin = v })
            .Saying((_, p) => $"holds {(p.Thin ? "thin" : "thick")} volumes")
            .IsKnown(),
        Of<Pool>
            .Value(
                "compression",
                nameof(Labs.Pool.Compression),
                "compression",
                Codecs.Number(1, 20),
                1,
                p => p.Compression,
                (p, v) => p with { Compression = v }
            )
            .Saying((_, p) => $"compresses {Numbers.Short(p.Compression)} : 1")
            .IsKnown(),
        Of<Pool>
            .Value(
                "kept-as-found",
                nameof(Labs.Pool.KeptAsFound),
                "kept as found",
                Codecs.Flag(),
                false,
                p => p.KeptAsFound,
                (p, v) => p with { KeptAsFound = v }
            )
            .Saying((_, p) => p.KeptAsFound ? "is kept as it was found" : "is not kept as it was found")
            .Explained("a disk whose format was found on it: nothing is made on it"),
        Of<Pool>
            .MaybeText("mounted-at", nameof(Labs.Pool.MountedAt), "mounted at", Path, p => p.MountedAt, (p, v) => p with { MountedAt = v })
            .IsKnown(),
        Of<Pool>
            .Maybe("size", nameof(Labs.Pool.Size), "room", Codecs.Size(Prefixes.Binary), p => p.Size, (p, v) => p with { Size = v })
            .Explained("as its own tools say; worked out from its disks when left out")
            .IsKnown(),
        Of<Pool>
            .Maybe("tier", nameof(Labs.Pool.Tier), "tier", Codecs.Word(LabWords.Tiers), p => p.Tier, (p, v) => p with { Tier = v })
            .Saying((_, p) => p.Tier is { } tier ? $"is a {tier.Words()}" : "is no tier")
            .IsKnown(),
        Of<Pool>
            .MaybeText("serves", nameof(Labs.Pool.Serves), "in front of", Text, p => p.Serves, (p, v) => p with { Serves = v })
            .Explained("the pool a tier stands in front of")
            .IsKnown(),
        Of<Pool>
            .Maybe(
                "written-between-moves",
                nameof(Labs.Pool.WrittenBetweenMoves),
                "written between two moves",
                Codecs.Size(Prefixes.Decimal),
                p => p.WrittenBetweenMoves,
                (p, v) => p with { WrittenBetweenMoves = v }
            )
            .IsKnown(),
        Of<Pool>
            .Value("stands", nameof(Labs.Pool.Stands), "stands", Codecs.Flag(), false, p => p.Stands, (p, to) => p with { Stands = to })
            .IsSilent()
            .IsKnown()
            .Explained("is there already and holds data"),
        Of<Pool>
            .Value(
                "already-used",
                nameof(Labs.Pool.AlreadyUsed),
                "already used",
                Codecs.Size(Prefixes.Binary),
                default,
                p => p.AlreadyUsed,
                (p, v) => p with { AlreadyUsed = v }
            )
            .Explained(
                "what lies in it beside the volumes of guests, the shared folders and the shares of this file: of what the host's own tools say is used, subtract those"
            )
            .Saying((_, p) => $"already holds {p.AlreadyUsed}")
            .IsKnown(),
        Of<Pool>
            .Maybe(
                "age-years",
                nameof(Labs.Pool.AgeYears),
                "age of its disks, years",
                Codecs.Number(0, 30),
                p => p.AgeYears,
                (p, v) => p with { AgeYears = v }
            )
            .Saying((_, p) => p.AgeYears is { } years ? $"has disks of {Numbers.Short(years)} years" : "has disks of an age nobody said")
            .Explained("as somebody said; the hours of its disks count when it is left out")
            .IsKnown(),
        Of<Pool>
            .Value(
                "spare-ready",
                nameof(Labs.Pool.SpareReady),
                "spare ready",
                Codecs.Flag(),
                false,
                p => p.SpareReady,
                (p, v) => p with { SpareReady = v }
            )
            .Saying((_, p) => p.SpareReady ? "has a spare ready" : "has no spare ready")
            .IsKnown()
    );
}
