using System.Text.Json.Nodes;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of a disk and of what it says of its health.</summary>
internal static class DiskShapes
{
    private static readonly Codec<string> Text = Codecs.Text(200);
    private static readonly Codec<double> Celsius = Codecs.Number(-60, 200);

    private const double Most = 1e15;

    /// <summary>What a disk says of its health.</summary>
    public static readonly Shape<DiskHealth> Health = new(
        "disk health",
        new DiskHealth(),
        Of<DiskHealth>.Maybe(
            "passed",
            nameof(DiskHealth.Passed),
            "own test passed",
            Codecs.Flag(),
            h => h.Passed,
            (h, v) => h with { Passed = v }
        ),
        Of<DiskHealth>.Maybe(
            "reallocated",
            nameof(DiskHealth.ReallocatedSectors),
            "reallocated sectors",
            Codecs.Count((long)Most),
            h => h.ReallocatedSectors,
            (h, v) => h with { ReallocatedSectors = v }
        ),
        Of<DiskHealth>.Maybe(
            "pending",
            nameof(DiskHealth.PendingSectors),
            "pending sectors",
            Codecs.Count((long)Most),
            h => h.PendingSectors,
            (h, v) => h with { PendingSectors = v }
        ),
        Of<DiskHealth>.Maybe(
            "wear",
            nameof(DiskHealth.WearPercent),
            "wear",
            Codecs.Number(0, 1000, p => Numbers.Percent(p / 100)),
            h => h.WearPercent,
            (h, v) => h with { WearPercent = v }
        ),
        Of<DiskHealth>
            .Maybe("celsius", nameof(DiskHealth.Celsius), "temperature", Celsius, h => h.Celsius, (h, v) => h with { Celsius = v })
            .IsSilent()
    );

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
        Of<Disk>
            .Maybe(
                "may-be-wiped",
                nameof(Labs.Disk.MayBeWiped),
                "may be wiped",
                Codecs.Day,
                d => d.MayBeWiped,
                (d, v) => d with { MayBeWiped = v }
            )
            .Saying((_, d) => d.MayBeWiped is { } day ? $"may be wiped, said on {day:O}" : "may not be wiped")
            .Explained("the day somebody said that what is on it may go"),
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
            () => Health,
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

    /// <summary>Health in one word, and what it is made of where both forms say.</summary>
    private static string? HealthWords(Disk was, Disk now)
    {
        var telling = new Telling();
        telling.Change("health", was.Health?.Word ?? "unknown", now.Health?.Word ?? "unknown");
        if (was.Health is { } before && now.Health is { } after)
        {
            foreach (var field in Health.Fields.Where(f => f.Name != "passed"))
            {
                field.Tell(before, after, telling);
            }
        }

        return telling.Told.Count == 0 ? null : string.Join(", ", telling.Told.Select(t => t.Text));
    }
}
