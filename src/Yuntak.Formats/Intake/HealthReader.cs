using System.Text.Json;
using Yuntak.Core.Base;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.Intake;

/// <summary>Reads <c>smartctl -j -a</c> of one disk: SATA with its table of attributes, NVMe with its log, SAS.</summary>
internal static class HealthReader
{
    /// <summary>Attributes whose normalised value counts down from 100 as flash wears; from memory of common disks.</summary>
    private static readonly string[] LifeLeft =
    [
        "Wear_Leveling_Count",
        "Media_Wearout_Indicator",
        "SSD_Life_Left",
        "Percent_Lifetime_Remain",
        "Remaining_Lifetime_Perc",
    ];

    private const int ReallocatedSectors = 5;
    private const int PendingSectors = 197;
    private const double MostHours = 10_000_000;

    /// <summary>Whether an object is such an answer.</summary>
    public static bool Is(JsonElement root) =>
        root.TryGetProperty("smartctl", out _) || root.TryGetProperty("smart_status", out _) || root.TryGetProperty("power_on_time", out _);

    public static void Read(JsonElement root, int line, string? problem, IntakeDraft draft)
    {
        List<string> problems = problem is null ? [] : [problem];
        var device = root.At("device").Text("name") ?? root.At("device").Text("info_name") ?? Named(root) ?? "";
        var name = Names.Clean(device.Split('/')[^1]);
        var health = new DiskHealth(
            root.At("smart_status").Flag("passed"),
            Attribute(root, ReallocatedSectors) ?? Whole(root, "scsi_grown_defect_list"),
            Attribute(root, PendingSectors),
            Wear(root),
            Celsius(root)
        );
        var hours = root.At("power_on_time").Number("hours") ?? root.At("nvme_smart_health_information_log").Number("power_on_hours");
        hours = hours is >= 0 and < MostHours ? hours : null;
        if (health == new DiskHealth() && hours is null)
        {
            problems.Add($"line {line}: smartctl says of {(name.Length > 0 ? name : "a disk")}: {Said(root)}");
            draft.Log.Add(KitParts.Health, 0, line, problems);
            return;
        }

        draft.Health.Add(new HealthReading(name, [.. Ids(root).Distinct(StringComparer.Ordinal)], health, hours));
        draft.Log.Add(KitParts.Health, 1, line, problems);
    }

    private static string? Named(JsonElement root) =>
        root.At("smartctl")
            .Rows("argv")
            .Select(a => a.ValueKind == JsonValueKind.String ? a.Readable() : null)
            .LastOrDefault(a => a?.StartsWith("/dev/", StringComparison.Ordinal) == true);

    private static string Said(JsonElement root)
    {
        var said = root.At("smartctl").Rows("messages").Select(m => m.Text("string")).FirstOrDefault(m => m is not null);
        return said is null ? "nothing of its health" : Names.Clean(said.Length > 160 ? said[..160] : said);
    }

    private static long? Attribute(JsonElement root, int id) =>
        root.At("ata_smart_attributes")
            .Rows("table")
            .Where(a => a.At("id") is { ValueKind: JsonValueKind.Number } known && known.TryGetInt32(out var number) && number == id)
            .Select(a => Whole(a.At("raw"), "value"))
            .FirstOrDefault();

    private static double? Wear(JsonElement root)
    {
        var wear =
            root.At("nvme_smart_health_information_log").Number("percentage_used")
            ?? root.At("endurance_used").Number("current_percent")
            ?? root.Number("scsi_percentage_used_endurance_indicator")
            ?? root.At("ata_smart_attributes")
                .Rows("table")
                .Where(a => LifeLeft.Contains(a.Text("name"), StringComparer.Ordinal))
                .Select(a => 100 - a.Number("value"))
                .FirstOrDefault();
        return wear is >= 0 and <= 1000 ? wear : null;
    }

    private static double? Celsius(JsonElement root) => root.At("temperature").Number("current") is { } c and > -60 and < 200 ? c : null;

    private static long? Whole(JsonElement row, string name) => row.Number(name) is { } n and >= 0 and < 1e15 ? (long)n : null;

    /// <summary>The stable ids that lsblk may know the disk by.</summary>
    private static IEnumerable<string> Ids(JsonElement root)
    {
        var wwn = root.At("wwn");
        if (
            Whole(wwn, "naa") is { } naa and < 16
            && Whole(wwn, "oui") is { } oui and < 1 << 24
            && Whole(wwn, "id") is { } id and > 0 and < 1L << 36
        )
        {
            yield return $"wwn-0x{naa:x}{oui:x6}{id:x9}";
        }

        foreach (var space in root.Rows("nvme_namespaces").Concat(root.Rows("namespaces")))
        {
            if (
                Whole(space.At("eui64"), "oui") is { } maker and < 1 << 24
                && Whole(space.At("eui64"), "ext_id") is { } unique and > 0 and < 1L << 40
            )
            {
                yield return $"eui.{maker:x6}{unique:x10}";
            }
        }

        if (root.Text("serial_number") is { } serial)
        {
            yield return DiskReader.SerialId(root.Text("model_name"), serial);
        }
    }
}
