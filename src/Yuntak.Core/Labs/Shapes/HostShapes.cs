using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Figures;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of a host, its disks and its pools.</summary>
public static class HostShapes
{
    private static readonly Codec<string> Text = Codecs.Text(200);
    private static readonly Codec<double> Watts = Codecs.Number(0, 100_000);

    /// <summary>The processors of a host.</summary>
    public static readonly Shape<Processor> Processor = new(
        "processor",
        new Processor("unknown", 1, 1, 1),
        Of<Processor>
            .Value(
                "architecture",
                nameof(Labs.Processor.Architecture),
                "processor family",
                Codecs.OneWord(40),
                "unknown",
                p => p.Architecture,
                (p, v) => p with { Architecture = v }
            )
            .LeftOutWhen((_, _) => false),
        Of<Processor>.Value(
            "sockets",
            nameof(Labs.Processor.Sockets),
            "sockets",
            Codecs.Whole(1, 64),
            1,
            p => p.Sockets,
            (p, v) => p with { Sockets = v }
        ),
        Of<Processor>
            .Always(
                "cores",
                nameof(Labs.Processor.Cores),
                "cores",
                Codecs.Whole(1, 4096),
                1,
                p => p.Cores,
                (p, v) => p with { Cores = v, Threads = Math.Max(v, p.Threads) }
            )
            .Explained("in all sockets"),
        Of<Processor>
            .Value(
                "threads",
                nameof(Labs.Processor.Threads),
                "threads",
                Codecs.Whole(1, 32_768),
                1,
                p => p.Threads,
                (p, v) => p with { Threads = v }
            )
            .LeftOutWhen((_, _) => false)
            .Explained("in all sockets; as many as cores when left out"),
        Of<Processor>
            .Maybe(
                "virtualisation",
                nameof(Labs.Processor.Virtualisation),
                "virtualisation",
                Codecs.Flag(onOff: true),
                p => p.Virtualisation,
                (p, v) => p with { Virtualisation = v }
            )
            .IsKnown(),
        Of<Processor>
            .MaybeText("model", nameof(Labs.Processor.Model), "processor", Text, p => p.Model, (p, v) => p with { Model = v })
            .IsKnown()
    )
    {
        Check = p =>
            p.Threads < p.Cores || p.Threads > 8 * p.Cores
                ? [new Problem("threads", $"{p.Cores} cores have {p.Cores} to {8 * p.Cores} threads; {p.Threads} were given.")]
                : [],
    };

    /// <summary>A disk.</summary>
    public static readonly Shape<Disk> Disk = new(
        "disk",
        new Disk("", "", default, DiskKind.Spinning),
        Of<Disk>.Always(
            "id",
            nameof(Labs.Disk.Id),
            "stable id",
            Text,
            "",
            d => d.Id,
            (d, v) => d with { Id = v, Name = d.Name.Length == 0 ? v : d.Name }
        ),
        Of<Disk>
            .Value("name", nameof(Labs.Disk.Name), "is now called", Text, "", d => d.Name, (d, v) => d with { Name = v })
            .LeftOutWhen((_, _) => false)
            .Saying((was, now) => $"is now called {now.Name}"),
        Of<Disk>.Always(
            "size",
            nameof(Labs.Disk.Size),
            "size",
            Codecs.Size(Prefixes.Decimal),
            default,
            d => d.Size,
            (d, v) => d with { Size = v }
        ),
        Of<Disk>.Always(
            "kind",
            nameof(Labs.Disk.Kind),
            "kind",
            Codecs.Word(LabWords.Disks),
            DiskKind.Spinning,
            d => d.Kind,
            (d, v) => d with { Kind = v }
        ),
        new ListOf<Disk, string>(
            "mounted-at",
            nameof(Labs.Disk.MountedAt),
            "mounted at",
            Text,
            d => d.MountedAt,
            (d, v) => d with { MountedAt = v }
        ),
        Of<Disk>.MaybeText("model", nameof(Labs.Disk.Model), "model", Text, d => d.Model, (d, v) => d with { Model = v }),
        Of<Disk>
            .Maybe(
                "hours",
                nameof(Labs.Disk.HoursRun),
                "hours run",
                Codecs.Number(0, 10_000_000),
                d => d.HoursRun,
                (d, v) => d with { HoursRun = v }
            )
            .ThatGrows(),
        Of<Disk>.Value(
            "removable",
            nameof(Labs.Disk.Removable),
            "meant to be pulled out",
            Codecs.Flag(),
            false,
            d => d.Removable,
            (d, v) => d with { Removable = v }
        ),
        new ListOf<Disk, string>("holds", nameof(Labs.Disk.Holds), "holds", Text, d => d.Holds, (d, v) => d with { Holds = v }),
        new Part<Disk, DiskHealth>(
            "health",
            nameof(Labs.Disk.Health),
            "",
            () => HardwareShapes.Health,
            d => d.Health,
            (d, v) => d with { Health = v }
        ).Saying(HealthWords),
        Of<Disk>.MaybeText(
            "controller",
            nameof(Labs.Disk.Controller),
            "hangs on",
            Text,
            d => d.Controller,
            (d, v) => d with { Controller = v }
        ),
        Of<Disk>.Maybe(
            "sector",
            nameof(Labs.Disk.Sector),
            "physical sector",
            Codecs.Whole(512, 1 << 20),
            d => d.Sector,
            (d, v) => d with { Sector = v }
        )
    );

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
                "already-used",
                nameof(Labs.Pool.AlreadyUsed),
                "already used",
                Codecs.Size(Prefixes.Binary),
                default,
                p => p.AlreadyUsed,
                (p, v) => p with { AlreadyUsed = v }
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

    private static readonly Shape<ReadinessCheck> Check = new(
        "ticked line",
        new ReadinessCheck("", default),
        Of<ReadinessCheck>.Always("item", nameof(ReadinessCheck.Item), "line", Text, "", c => c.Item, (c, v) => c with { Item = v }),
        Of<ReadinessCheck>.Always("on", nameof(ReadinessCheck.On), "day", Codecs.Day, default, c => c.On, (c, v) => c with { On = v })
    );

    private static readonly Shape<FactNote> Note = new(
        "note",
        new FactNote("", Origin.Entered, ""),
        Of<FactNote>.Always("fact", nameof(FactNote.Fact), "fact", Text, "", n => n.Fact, (n, v) => n with { Fact = v }),
        Of<FactNote>.Always(
            "origin",
            nameof(FactNote.Origin),
            "origin",
            Codecs.Word(LabWords.Origins),
            Origin.Entered,
            n => n.Origin,
            (n, v) => n with { Origin = v }
        ),
        Of<FactNote>
            .Value("text", nameof(FactNote.Text), "text", Codecs.Text(), "", n => n.Text, (n, v) => n with { Text = v })
            .LeftOutWhen((_, _) => false),
        Of<FactNote>.Maybe("on", nameof(FactNote.On), "day", Codecs.Day, n => n.On, (n, v) => n with { On = v })
    );

    /// <summary>A host. Memory, processor, network ports, disks and pools are work when they differ; the rest is only known of it.</summary>
    public static readonly Shape<Host> Host = new(
        "host",
        new Host(new HostId(""), "", "", new HostFacts(Processor.Blank, default), HostPlan.None),
        Of<Host>
            .Always("name", nameof(Labs.Host.Name), "called", Codecs.Name("host"), "", h => h.Name, (h, v) => h with { Name = v })
            .IsKnown(),
        new ScalarOf<Host, string>(
            "id",
            nameof(Labs.Host.Id),
            "id",
            Codecs.Text(100),
            h => (h.Id.Value.Length > 0, h.Id.Value),
            (h, v) => h with { Id = new HostId(v.Value ?? "") }
        )
            .LeftOutWhen((h, id) => id == Names.Slug(h.Name))
            .IsSilent()
            .Explained("written only when it no longer follows from the name; keep it"),
        Of<Host>
            .Value(
                "description",
                nameof(Labs.Host.Description),
                "described as",
                Text,
                "",
                h => h.Description,
                (h, v) => h with { Description = v }
            )
            .IsKnown(),
        new Part<Host, Processor>(
            "processor",
            "Facts.Processor",
            "",
            () => Processor,
            h => h.Processor,
            (h, v) => h with { Processor = v ?? Processor.Blank }
        ).IsNeeded(),
        Of<Host>.Always(
            "memory",
            "Facts.Memory",
            "memory",
            Codecs.Size(Prefixes.Binary, ByteSize.FromMiB(64)),
            default,
            h => h.Memory,
            (h, v) => h with { Memory = v }
        ),
        Of<Host>
            .Maybe(
                "network-ports",
                "Facts.NetworkPorts",
                "network ports",
                Codecs.Whole(0, 256),
                h => h.NetworkPorts,
                (h, v) => h with { NetworkPorts = v }
            )
            .IsKnown(),
        Of<Host>
            .Maybe(
                "battery-backup",
                "Facts.BatteryBackup",
                "battery backup",
                Codecs.Flag(),
                h => h.BatteryBackup,
                (h, v) => h with { BatteryBackup = v }
            )
            .IsKnown(),
        Of<Host>
            .Maybe("idle-watts", "Facts.IdleWatts", "watts at rest", Watts, h => h.IdleWatts, (h, v) => h with { IdleWatts = v })
            .IsKnown(),
        Of<Host>
            .Maybe("full-watts", "Facts.FullWatts", "watts at full load", Watts, h => h.FullWatts, (h, v) => h with { FullWatts = v })
            .IsKnown(),
        Of<Host>
            .Maybe(
                "powers-on",
                "Facts.PowersOn",
                "starts by itself after a power cut",
                Codecs.Flag(),
                h => h.PowersOn,
                (h, v) => h with { PowersOn = v }
            )
            .IsKnown(),
        Of<Host>
            .Maybe(
                "address-fixed",
                "Facts.AddressFixed",
                "fixed address",
                Codecs.Flag(),
                h => h.AddressFixed,
                (h, v) => h with { AddressFixed = v }
            )
            .IsKnown(),
        Of<Host>
            .Value(
                "read-from-tools",
                "Facts.WasRead",
                "read from its own tools",
                Codecs.Flag(),
                false,
                h => h.WasRead,
                (h, v) => h with { WasRead = v }
            )
            .IsSilent()
            .IsKnown(),
        new Parts<Host, Disk>("disks", "Facts.Disks", "disk", () => Disk, d => d.Id, h => h.Disks, (h, v) => h with { Disks = v })
        {
            Most = 256,
            Words = d => $"disk {d.Name}, {d.Size.ToDecimalString()} {d.Kind.Words()}",
            Before = d => $"disk {d.Name}",
        },
        new Parts<Host, Pool>("pools", "Plan.Pools", "pool", () => Pool, p => p.Name, h => h.Pools, (h, v) => h with { Pools = v })
        {
            Most = 100,
        }.IsSilent(),
        new Part<Host, Hardware>(
            "inside",
            "Facts.Inside",
            "",
            () => HardwareShapes.Inside,
            h => h.Inside,
            (h, v) => h.With(v ?? Hardware.None)
        )
        {
            Otherwise = _ => Hardware.None,
        }.IsKnown(),
        Of<Host>
            .Maybe("read-on", "Facts.ReadOn", "read on", Codecs.Day, h => h.ReadOn, (h, v) => h with { ReadOn = v })
            .IsSilent()
            .IsKnown(),
        new Parts<Host, ReadinessCheck>(
            "checks",
            "Facts.Checks",
            "ticked line",
            () => Check,
            c => c.Item,
            h => h.Checks,
            (h, v) => h with { Checks = v }
        )
            .IsSilent()
            .IsKnown(),
        new Parts<Host, FactNote>("notes", "Facts.Notes", "note", () => Note, n => n.Fact, h => h.Notes, (h, v) => h with { Notes = v })
            .IsSilent()
            .IsKnown()
    )
    {
        Check = h =>
            h.Disks.GroupBy(d => d.Id, StringComparer.Ordinal)
                .Where(g => g.Count() > 1)
                .Select(g => new Problem("disks", $"Two disks of {h.Name} have the same id, «{g.Key}».")),
    };

    /// <summary>Health in one word, and what it is made of where both forms say.</summary>
    private static string? HealthWords(Disk was, Disk now)
    {
        var telling = new Telling();
        telling.Change("health", was.Health?.Word ?? "unknown", now.Health?.Word ?? "unknown");
        if (was.Health is { } before && now.Health is { } after)
        {
            foreach (var field in HardwareShapes.Health.Fields.Where(f => f.Name != "passed"))
            {
                field.Tell(before, after, telling);
            }
        }

        return telling.Told.Count == 0 ? null : string.Join(", ", telling.Told.Select(t => t.Text));
    }
}
