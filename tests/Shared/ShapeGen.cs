using System.Globalization;
using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Tests;

/// <summary>
/// Random values for every single-valued field of the shapes, made from what the schema of the field allows: a field that is added to a shape is varied from that day
/// on. Values go in through the edits, so that what does not go together is refused, as it is to a person.
/// </summary>
internal static class ShapeGen
{
    /// <summary>What a thing is known by, and what moves it elsewhere, stays.</summary>
    private static readonly string[] Kept = ["id", "name", "kind", "runs-in", "life"];

    /// <summary>A lab with about one field in four said otherwise.</summary>
    public static Lab Vary(Lab lab, Random random)
    {
        foreach (var host in lab.Hosts)
        {
            lab = Vary(lab, HostShapes.Host, random, change => HostEdits.Change(host.Id, change));
            foreach (var pool in lab.Host(host.Id)!.Pools)
            {
                lab = Vary(lab, PoolShapes.Pool, random, change => PoolEdits.Change(host.Id, pool.Name, change));
            }
        }

        foreach (var guest in lab.Guests)
        {
            lab = Vary(lab, GuestShapes.Guest, random, change => GuestEdits.Change(guest.Id, change));
        }

        var settings = Picked(LabShapes.Settings, random).Aggregate(lab.Settings, (s, f) => Set(s, f, Sample(f.Schema([]), random)));
        return LabShapes.Settings.Problems(settings).Any() ? lab : lab with { Settings = settings };
    }

    /// <summary>The assumptions with one said otherwise; as they were where the text is none of its kind, such as a zone that does not exist.</summary>
    private static LabSettings Set(LabSettings settings, Scalar<LabSettings> field, string text)
    {
        try
        {
            return field.Set(settings, text);
        }
        catch (Refused)
        {
            return settings;
        }
    }

    private static Lab Vary<T>(Lab lab, Shape<T> shape, Random random, Func<Func<T, T>, Edit> edit) =>
        Picked(shape, random)
            .Aggregate(
                lab,
                (l, field) =>
                {
                    var text = Sample(field.Schema([]), random);
                    return Gens.Try(l, edit(record => field.Set(record, text)));
                }
            );

    private static List<Scalar<T>> Picked<T>(Shape<T> shape, Random random) =>
        [.. shape.Fields.OfType<Scalar<T>>().Where(f => !Kept.Contains(f.Name) && random.Next(4) == 0)];

    /// <summary>A text that a field of this schema takes.</summary>
    private static string Sample(JsonObject schema, Random random)
    {
        if (schema["enum"] is JsonArray words)
        {
            return words[random.Next(words.Count)]!.ToString();
        }

        var least = Number(schema["minimum"]) ?? 0;
        var most = Math.Min(Number(schema["maximum"]) ?? 1e6, least + 100_000);
        return schema["type"]?.GetValue<string>() switch
        {
            null => $"{random.Next(1, 4000)} {(random.Next(2) == 0 ? "MiB" : "GB")}",
            "integer" => random.NextInt64((long)least, (long)most + 1).ToString(CultureInfo.InvariantCulture),
            "number" => (least + Math.Round(random.NextDouble() * (most - least), 3)).ToString(CultureInfo.InvariantCulture),
            "boolean" => random.Next(2) == 0 ? "true" : "false",
            _ when schema.ContainsKey("format") || schema.ContainsKey("pattern") => $"20{random.Next(10, 30)}-03-{random.Next(10, 28)}",
            _ => $"word-{random.Next(100)}",
        };
    }

    private static double? Number(JsonNode? node) => node is null ? null : double.Parse(node.ToJsonString(), CultureInfo.InvariantCulture);
}
