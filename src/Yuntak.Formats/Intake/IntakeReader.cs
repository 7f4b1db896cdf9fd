using System.Text.Json;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>
/// Reads a host from the output of its own tools: <c>lscpu -J</c>, <c>lsblk -J -b</c>, <c>/proc/meminfo</c> or <c>lsmem -J -b</c>, any one alone or several in
/// one text. Never throws on what it is given: each part answers with what was read and a plain message for what was not.
/// </summary>
public static class IntakeReader
{
    /// <summary>Reads a file or an upload.</summary>
    /// <param name="stream">Read once, at most <see cref="IntakeLimits.LongestText"/>; not closed.</param>
    public static HostReading Read(Stream stream)
    {
        var text = TextDecoder.Read(stream, out var problem);
        return problem is null ? Read(text) : Nothing(problem);
    }

    /// <summary>Reads pasted text.</summary>
    public static HostReading Read(string text)
    {
        if (text.Length > IntakeLimits.LongestText.Bytes)
        {
            return Nothing($"This is longer than {IntakeLimits.LongestText}, the most that is read. Is it the right text?");
        }

        var start = text.AsSpan().TrimStart();
        if (
            start.StartsWith("<!doctype", StringComparison.OrdinalIgnoreCase)
            || start.StartsWith("<html", StringComparison.OrdinalIgnoreCase)
        )
        {
            return Nothing("This is a web page (HTML). Copy the commands' output itself.");
        }

        if (start.IsEmpty)
        {
            return Nothing("There is nothing in it. Paste the output of lscpu -J, lsblk -J -b or /proc/meminfo.");
        }

        return ReadParts(PartSplitter.Split(TextDecoder.Plain(text)));
    }

    private static HostReading ReadParts(List<RawPart> raw)
    {
        Processor? processor = null;
        ByteSize? memory = null;
        ByteSize? installed = null;
        List<Disk> disks = [];
        List<PartReading> parts = [];
        RawPart? firstOther = null;
        foreach (var part in raw)
        {
            switch (part.Kind)
            {
                case RawKind.Meminfo:
                    (var total, var memoryReading) = MemoryReader.ReadMeminfo(part);
                    memory = total ?? memory;
                    parts.Add(memoryReading);
                    break;
                case RawKind.PlainLscpu:
                    (var plain, var plainReading) = ProcessorReader.ReadPlain(part);
                    processor = plain ?? processor;
                    parts.Add(plainReading);
                    break;
                case RawKind.Json:
                    try
                    {
                        ReadJson(part, parts, ref processor, ref installed, disks);
                    }
                    catch (InvalidOperationException)
                    {
                        // A name spelt with half a character: JSON allows it, text cannot hold it.
                        parts.Add(
                            new PartReading(
                                "other",
                                0,
                                [$"line {part.Line}: this JSON spells characters that do not exist; it was left out"]
                            )
                        );
                    }

                    break;
                default:
                    firstOther ??= part;
                    break;
            }
        }

        if (parts.All(p => p.Read == 0) && firstOther is not null)
        {
            parts.Add(
                new PartReading(
                    "other",
                    0,
                    [
                        $"line {firstOther.Line}: nothing here is the output of lscpu -J, lsblk -J -b or /proc/meminfo. It begins «{Start(firstOther.Text)}».",
                    ]
                )
            );
        }

        return new HostReading(processor, memory ?? installed, disks, parts);
    }

    private static void ReadJson(RawPart part, List<PartReading> parts, ref Processor? processor, ref ByteSize? installed, List<Disk> disks)
    {
        using var document = JsonSalvage.Read(part.Text, part.Line, out var problem);
        if (document is null || document.RootElement.ValueKind != JsonValueKind.Object)
        {
            parts.Add(
                new PartReading(Guess(part.Text), 0, [problem ?? $"line {part.Line}: this is not the output of a tool that is known here"])
            );
            return;
        }

        var root = document.RootElement;
        if (root.TryGetProperty("lscpu", out _))
        {
            (var read, var reading) = ProcessorReader.ReadJson(root, problem);
            processor = read ?? processor;
            parts.Add(reading);
        }
        else if (root.TryGetProperty("blockdevices", out _))
        {
            (var read, var reading) = DiskReader.Read(root, problem);
            disks.AddRange(read.Where(d => disks.TrueForAll(have => have.Id != d.Id)));
            parts.Add(reading);
        }
        else if (root.TryGetProperty("memory", out _))
        {
            (installed, var reading) = MemoryReader.ReadLsmem(root, problem);
            parts.Add(reading);
        }
        else
        {
            var known = root.EnumerateObject().Select(p => p.Name).FirstOrDefault() ?? "nothing";
            parts.Add(
                new PartReading(
                    "other",
                    0,
                    [$"line {part.Line}: JSON with «{Start(known)}» in it is not the output of lscpu, lsblk or lsmem; it was left out"]
                )
            );
        }
    }

    private static string Guess(string text) =>
        text.Contains("\"blockdevices\"", StringComparison.Ordinal) ? "disks"
        : text.Contains("\"lscpu\"", StringComparison.Ordinal) ? "processor"
        : "other";

    private static string Start(string text)
    {
        var clean = Names.Clean(text.Trim().Split('\n')[0]);
        return clean.Length > 40 ? clean[..40] + "…" : clean;
    }

    private static HostReading Nothing(string problem) => new(null, null, [], [new PartReading("other", 0, [problem])]);
}
