using System.Text;
using System.Text.RegularExpressions;

namespace Yuntak.Formats.Intake;

/// <summary>Finds the outputs of several tools in one text, one after the other: in any order, with prompts and other lines between them, any of them perhaps cut off.</summary>
internal static partial class PartSplitter
{
    private const int OtherKept = 400;

    public static IEnumerable<RawPart> Split(BoundedLines lines)
    {
        var number = 1;
        for (var line = Next(lines); line is not null; )
        {
            var kind = KindOf(line);
            var start = number;
            var body = new StringBuilder();
            var brackets = new BracketCounter();
            var most = kind == RawKind.Other ? OtherKept : IntakeLimits.LongestPart;
            var cut = false;
            do
            {
                if (body.Length + line.Length <= most)
                {
                    body.Append(line).Append('\n');
                }
                else
                {
                    body.Append(line, 0, Math.Max(0, Math.Min(line.Length, most - body.Length)));
                    cut = true;
                }

                brackets.Read(line);
                line = Next(lines);
                number++;
            } while (line is not null && Continues(kind, brackets, line));
            if (kind != RawKind.Other || !IsBlank(body))
            {
                yield return new RawPart(kind, body.ToString(), start, cut && kind != RawKind.Other);
            }
        }
    }

    private static string? Next(BoundedLines lines) => lines.Next() is { } line ? TextDecoder.PlainLine(line) : null;

    private static bool IsBlank(StringBuilder text)
    {
        foreach (var chunk in text.GetChunks())
        {
            if (!chunk.Span.IsWhiteSpace())
            {
                return false;
            }
        }

        return true;
    }

    private static bool Continues(RawKind kind, BracketCounter brackets, string next)
    {
        if (kind == RawKind.Json)
        {
            // Another object of a known tool, a header, a prompt or another tool's first line inside an open object mean that the object was cut off.
            return brackets.Open && !Begins(next);
        }

        var other = KindOf(next);
        return kind switch
        {
            RawKind.Header or RawKind.NotRun => false,
            RawKind.Meminfo => NameValue().IsMatch(next)
                && other is RawKind.Other or RawKind.Meminfo
                && !next.StartsWith("MemTotal:", StringComparison.Ordinal),
            RawKind.PlainLscpu => string.IsNullOrWhiteSpace(next) || (NameValue().IsMatch(next) && other == RawKind.Other),
            RawKind.LspciRecords => string.IsNullOrWhiteSpace(next)
                || other == kind
                || (other == RawKind.Other && RecordLine().IsMatch(next)),
            RawKind.PlainLspci or RawKind.Dmi => other == kind
                || string.IsNullOrWhiteSpace(next)
                || next[0] is '\t' or ' '
                || (kind == RawKind.Dmi && other == RawKind.Other && !Prompt().IsMatch(next)),
            RawKind.Mdstat => ArrayReader.GoesOn(next),
            RawKind.UsbTree => other == kind || next.StartsWith("    ", StringComparison.Ordinal),
            _ => other == kind,
        };
    }

    private static bool Begins(string line) =>
        line.Length > 0
        && line[0] is not (' ' or '\t' or '"' or '}' or ']')
        && (Beginning().IsMatch(line) || Prompt().IsMatch(line) || KindOf(line) is not (RawKind.Json or RawKind.Other));

    private static RawKind KindOf(string line)
    {
        if (line.Length == 0)
        {
            return RawKind.Other;
        }

        var text = line.AsSpan().TrimStart();
        if (text.StartsWith("{") || (text.StartsWith("[") && ArrayStart().IsMatch(line)))
        {
            return RawKind.Json;
        }

        return line[0] switch
        {
            '=' when BundleHeader.Is(line) => RawKind.Header,
            '#' when line.StartsWith(BundleHeader.NotRun, StringComparison.Ordinal) => RawKind.NotRun,
            '#' when line.StartsWith("# dmidecode", StringComparison.Ordinal) => RawKind.Dmi,
            'H' when line.StartsWith("Handle 0x", StringComparison.Ordinal) => RawKind.Dmi,
            'M' when line.StartsWith("MemTotal:", StringComparison.Ordinal) => RawKind.Meminfo,
            'A' when line.StartsWith("Architecture:", StringComparison.Ordinal) => RawKind.PlainLscpu,
            'S' when RecordStart().IsMatch(line) => RawKind.LspciRecords,
            'B' when UsbReader.IsListLine(line) => RawKind.UsbList,
            'P' when ArrayReader.Begins(line) => RawKind.Mdstat,
            't' or 'u' when ListenerReader.Is(line) => RawKind.Listeners,
            'c' when CoreSpeedReader.Is(line) => RawKind.CoreSpeed,
            '/' when line.StartsWith("/:  Bus ", StringComparison.Ordinal) => RawKind.UsbTree,
            _ => Rest(line),
        };
    }

    private static RawKind Rest(string line) =>
        line.Contains("|__ Port ", StringComparison.Ordinal) ? RawKind.UsbTree
        : char.IsAsciiHexDigit(line[0]) && CardReader.IsPlainLine(line) ? RawKind.PlainLspci
        : line.Contains('/', StringComparison.Ordinal) && SysLine.Parse(line) is not null ? RawKind.SysPaths
        : BatteryReader.Is(line) ? RawKind.Battery
        : RawKind.Other;

    [GeneratedRegex(
        @"^(\{\s*($|""(lscpu|blockdevices|filesystems|report|memory|json_format_version|smartctl|fio version|start)"")|\[\s*($|\{\s*""(ifindex|ifname|dst)""))",
        RegexOptions.ExplicitCapture,
        1_000
    )]
    private static partial Regex Beginning();

    [GeneratedRegex(@"^\s*\[\s*(\{|\]|$)", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex ArrayStart();

    [GeneratedRegex(@"^[^\s{}""]*[@:~][^\s{}""]*[$#>]\s", RegexOptions.None, 1_000)]
    private static partial Regex Prompt();

    [GeneratedRegex(@"^\s*[A-Za-z][^:{}""]{0,60}:\s", RegexOptions.None, 1_000)]
    private static partial Regex NameValue();

    [GeneratedRegex(@"^Slot:\s+[0-9a-f:.]+\s*$", RegexOptions.IgnoreCase, 1_000)]
    private static partial Regex RecordStart();

    [GeneratedRegex(@"^[A-Za-z]{2,14}:\s", RegexOptions.None, 1_000)]
    private static partial Regex RecordLine();
}
