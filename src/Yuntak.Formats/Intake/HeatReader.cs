using System.Text.Json;
using Yuntak.Core.Base;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.Intake;

/// <summary>Reads <c>sensors -j</c>: chips, each with features, each with a temperature and its limits.</summary>
internal static class HeatReader
{
    private static readonly string[] Limits = ["_max", "_crit"];

    /// <summary>Whether an object is such an answer.</summary>
    public static bool Is(JsonElement root) =>
        root.ValueKind == JsonValueKind.Object
        && root.EnumerateObject()
            .Any(c =>
                c.Value.ValueKind == JsonValueKind.Object
                && (c.Value.TryGetProperty("Adapter", out _) || Features(c.Value).Any(f => Input(f.Value) is not null))
            );

    public static void Read(JsonElement root, int line, string? problem, IntakeDraft draft)
    {
        var read = 0;
        foreach (var chip in root.EnumerateObject())
        {
            foreach (var feature in Features(chip.Value))
            {
                if (
                    Input(feature.Value) is { } celsius and > -60 and < 200
                    && draft.Temperatures.Add(new Temperature(Names.Clean($"{feature.Name} ({chip.Name})"), celsius, Limit(feature.Value)))
                )
                {
                    read++;
                }
            }
        }

        draft.Log.Add(KitParts.Heat, read, line, problem is null ? [] : [problem]);
    }

    private static IEnumerable<JsonProperty> Features(JsonElement chip) =>
        chip.ValueKind == JsonValueKind.Object ? chip.EnumerateObject().Where(f => f.Value.ValueKind == JsonValueKind.Object) : [];

    private static double? Input(JsonElement feature) => Value(feature, "_input");

    /// <summary>The limit for steady running, else the one at which it switches off. Some chips put 65,261 or 0 where they have none.</summary>
    private static double? Limit(JsonElement feature) => Limits.Select(end => Value(feature, end)).FirstOrDefault(v => v is > 20 and < 150);

    private static double? Value(JsonElement feature, string end) =>
        feature
            .EnumerateObject()
            .Where(v =>
                v.Name.StartsWith("temp", StringComparison.Ordinal)
                && v.Name.EndsWith(end, StringComparison.Ordinal)
                && v.Value.ValueKind == JsonValueKind.Number
            )
            .Select(v => v.Value.Double())
            .FirstOrDefault(v => v is not null);
}
