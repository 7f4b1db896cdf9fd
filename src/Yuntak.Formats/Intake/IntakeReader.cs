using System.Text.Json;
using Yuntak.Core.Base;
using Yuntak.Core.Figures;
using Yuntak.Core.Kit;
using Yuntak.Core.Shapes;

namespace Yuntak.Formats.Intake;

/// <summary>
/// Reads a host from the output of its own tools: a bundle of <c>collect.sh</c>, or any of the outputs in it, alone or several in one text. Never throws on
/// what it is given: each part answers with what was read and a plain message for what was not, and nothing read before a bad part is lost.
/// </summary>
public static class IntakeReader
{
    /// <summary>Reads a file or an upload, piece by piece.</summary>
    /// <param name="stream">Read once, at most <see cref="IntakeLimits.LongestText"/>; not closed.</param>
    public static HostReading Read(Stream stream)
    {
        var reader = TextDecoder.Open(stream, out var problem);
        return reader is null ? Nothing(problem!) : Read(reader);
    }

    /// <summary>Reads pasted text.</summary>
    public static HostReading Read(string text)
    {
        var start = text.AsSpan().TrimStart();
        if (
            start.StartsWith("<!doctype", StringComparison.OrdinalIgnoreCase)
            || start.StartsWith("<html", StringComparison.OrdinalIgnoreCase)
        )
        {
            return Nothing("This is a web page (HTML). Copy the commands' output itself.");
        }

        using var reader = new StringReader(text);
        return Read(reader);
    }

    private static HostReading Read(TextReader reader)
    {
        var lines = new BoundedLines(reader, IntakeLimits.LongestText.Bytes, IntakeLimits.LongestPart);
        var draft = new IntakeDraft();
        RawPart? firstOther = null;
        (string Part, int Line)? announced = null;
        var any = false;
        foreach (var part in PartSplitter.Split(lines))
        {
            any = true;
            if (part.Kind == RawKind.Header)
            {
                Close(draft, announced, complete: true);
                announced = Announced(part, draft);
            }
            else if (part.Kind == RawKind.NotRun)
            {
                NotRun(part, draft, announced?.Part);
            }
            else if (part.Kind == RawKind.Other)
            {
                firstOther ??= part;
                Misplaced(part, draft, announced);
            }
            else
            {
                ReadPart(part, draft, announced?.Part);
            }
        }

        Close(draft, announced, complete: false);
        if (!any)
        {
            return Nothing("There is nothing in it. Paste the output of the script, or of lscpu -J, lsblk -J -b or /proc/meminfo.");
        }

        if (draft.Log.NothingRead && firstOther is not null && draft.Log.Readings().All(p => p.Problems.Count == 0))
        {
            draft.Log.Add(
                KitParts.Other,
                0,
                firstOther.Line,
                $"line {firstOther.Line}: nothing here is the output of the script, or of a tool that is known here such as lscpu -J, lsblk -J -b or /proc/meminfo. It begins «{Start(firstOther.Text)}»."
            );
        }

        if (lines.CutOff)
        {
            draft.Log.Add(
                KitParts.Other,
                0,
                0,
                $"The text is longer than {IntakeLimits.LongestText}, the most that is read; what is in the first part of it was kept."
            );
        }

        return SoundReading.Of(draft.ToReading());
    }

    private static void ReadPart(RawPart part, IntakeDraft draft, string? announced)
    {
        switch (part.Kind)
        {
            case RawKind.Json:
                ReadJson(part, draft, announced);
                break;
            case RawKind.Meminfo:
                MemoryReader.ReadMeminfo(part, draft);
                break;
            case RawKind.PlainLscpu:
                ProcessorReader.ReadPlain(part, draft);
                break;
            case RawKind.LspciRecords:
                CardReader.ReadRecords(part, draft);
                break;
            case RawKind.PlainLspci:
                CardReader.ReadPlain(part, draft);
                break;
            case RawKind.UsbList:
                UsbReader.ReadList(part, draft.Usb, draft.Log);
                break;
            case RawKind.UsbTree:
                UsbReader.ReadTree(part, draft.Usb, draft.Log);
                break;
            case RawKind.SysPaths:
                draft.AddSysLines(part);
                break;
            case RawKind.Battery:
                BatteryReader.Read(part, draft);
                break;
            case RawKind.Dmi:
                SlotReader.Read(part, draft);
                break;
            case RawKind.Mdstat:
                ArrayReader.ReadMdstat(part, draft);
                break;
            case RawKind.Listeners:
                ListenerReader.Read(part, draft);
                break;
            case RawKind.CoreSpeed:
                CoreSpeedReader.Read(part, draft);
                break;
            default:
                break;
        }

        if (part.CutOff)
        {
            draft.Log.Add(
                announced ?? KitParts.Other,
                0,
                part.Line,
                $"line {part.Line}: this part is longer than {IntakeLimits.LongestPart / (1024 * 1024)} million characters; the rest of it was left out"
            );
        }
    }

    private static void ReadJson(RawPart part, IntakeDraft draft, string? announced)
    {
        try
        {
            using var document = JsonSalvage.Read(part.Text, part.Line, out var problem);
            if (document is null || !JsonParts.Read(document.RootElement, part, problem, draft, announced))
            {
                draft.Log.Add(
                    announced ?? JsonParts.Guess(part.Text),
                    0,
                    part.Line,
                    problem ?? $"line {part.Line}: this is not the output of a tool that is known here"
                );
            }
        }
        catch (Exception e) when (e is InvalidOperationException or ArgumentException)
        {
            // A name spelt with half a character: JSON allows it, text cannot hold it.
            draft.Log.Add(
                announced ?? KitParts.Other,
                0,
                part.Line,
                $"line {part.Line}: this JSON spells characters that do not exist; it was left out"
            );
        }
    }

    private static (string Part, int Line)? Announced(RawPart header, IntakeDraft draft)
    {
        var (host, on) = BundleHeader.Origin(header.Text);
        (draft.HostName, draft.On) = (host ?? draft.HostName, on ?? draft.On);
        return BundleHeader.PartOf(header.Text) is { } part ? (part, header.Line) : null;
    }

    private static void NotRun(RawPart part, IntakeDraft draft, string? announced) =>
        draft.Log.Hint(
            announced ?? KitParts.Other,
            part.Line,
            $"line {part.Line}: not run: {MissingTools.Hint(Start(part.Text[BundleHeader.NotRun.Length..], 120))}"
        );

    /// <summary>Text under a header that is not the output announced: a message of the tool itself, most likely.</summary>
    private static void Misplaced(RawPart part, IntakeDraft draft, (string Part, int Line)? announced)
    {
        if (announced is { } known && !draft.Log.Has(known.Part))
        {
            draft.Log.Add(known.Part, 0, part.Line, $"line {part.Line}: {KitParts.ToolOf(known.Part)} says «{Start(part.Text, 80)}»");
        }
    }

    /// <summary>The end of a part that a header announced. When nothing at all stood in it, that is an answer too.</summary>
    private static void Close(IntakeDraft draft, (string Part, int Line)? announced, bool complete)
    {
        if (announced is not { } part || draft.Log.Has(part.Part))
        {
            return;
        }

        if (!complete)
        {
            draft.Log.Add(part.Part, 0, part.Line, $"line {part.Line}: the text ends before anything of this part");
            return;
        }

        draft.IsolationLooked |= part.Part == KitParts.Isolation;
        draft.VirtualisationOffered ??= part.Part == KitParts.Virtualisation ? false : null;
        draft.Log.Add(part.Part, 0, part.Line);
    }

    internal static string Start(string text, int most = 40)
    {
        var clean = Names.Clean(text.Trim().Split('\n')[0]);
        return clean.Length > most ? clean[..most] + "…" : clean;
    }

    private static HostReading Nothing(string problem) => new(null, null, [], [new PartReading(KitParts.Other, 0, [problem])]);
}
