using System.Text.Json;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.Intake;

/// <summary>Tells by what is in it which tool wrote a JSON text, and has it read.</summary>
internal static class JsonParts
{
    /// <summary>Reads a document; false when it is from no tool that is known here.</summary>
    public static bool Read(JsonElement root, RawPart part, string? problem, IntakeDraft draft, string? announced)
    {
        if (NetworkReader.Is(root))
        {
            NetworkReader.Read(root, part.Line, problem, draft.Net, draft.Log);
        }
        else if (root.ValueKind == JsonValueKind.Array)
        {
            if (root.GetArrayLength() == 0 && problem is null && announced is not null)
            {
                draft.Log.Add(announced, 0, part.Line);
                return true;
            }

            return false;
        }
        else if (root.ValueKind != JsonValueKind.Object)
        {
            return false;
        }
        else if (root.TryGetProperty("lscpu", out _))
        {
            ProcessorReader.ReadJson(root, part.Line, problem, draft);
        }
        else if (root.TryGetProperty("blockdevices", out _))
        {
            DiskReader.Read(root, part.Line, problem, draft);
        }
        else if (MountReader.Is(root))
        {
            MountReader.Read(root, part.Line, problem, draft);
        }
        else if (ArrayReader.Is(root))
        {
            ArrayReader.ReadReport(root, part.Line, problem, draft);
        }
        else if (root.TryGetProperty("memory", out var memory) && memory.ValueKind == JsonValueKind.Array)
        {
            MemoryReader.ReadLsmem(root, part.Line, problem, draft);
        }
        else
        {
            return ReadMeasured(root, part, problem, draft, announced);
        }

        return true;
    }

    private static bool ReadMeasured(JsonElement root, RawPart part, string? problem, IntakeDraft draft, string? announced)
    {
        if (SpeedReader.IsDisk(root))
        {
            SpeedReader.ReadDisk(root, part.Line, problem, draft);
        }
        else if (SpeedReader.IsLink(root))
        {
            SpeedReader.ReadLink(root, part.Line, problem, draft);
        }
        else if (HealthReader.Is(root))
        {
            HealthReader.Read(root, part.Line, problem, draft);
        }
        else if (HeatReader.Is(root))
        {
            HeatReader.Read(root, part.Line, problem, draft);
        }
        else if (announced is not null && !root.EnumerateObject().Any())
        {
            // An empty answer under a header is an answer: no sensor, say.
            draft.Log.Add(announced, 0, part.Line, problem is null ? [] : [problem]);
        }
        else
        {
            var known = root.EnumerateObject().Select(p => p.Name).FirstOrDefault() ?? "nothing";
            draft.Log.Add(
                KitParts.Other,
                0,
                part.Line,
                $"line {part.Line}: JSON with «{IntakeReader.Start(known)}» in it is not the output of a tool that is known here; it was left out"
            );
        }

        return true;
    }

    /// <summary>Which part a broken text was meant to be.</summary>
    public static string Guess(string text) =>
        text.Contains("\"blockdevices\"", StringComparison.Ordinal) ? KitParts.Disks
        : text.Contains("\"filesystems\"", StringComparison.Ordinal) ? KitParts.Mounts
        : text.Contains("\"lscpu\"", StringComparison.Ordinal) ? KitParts.Processor
        : text.Contains("\"ifname\"", StringComparison.Ordinal) ? KitParts.Network
        : text.Contains("\"smartctl\"", StringComparison.Ordinal) ? KitParts.Health
        : KitParts.Other;
}
