using System.Text;
using System.Text.RegularExpressions;

namespace Yuntak.Formats.Intake;

/// <summary>Finds the outputs of several tools in one text: in any order, with prompts and other lines between them, the last one perhaps cut off.</summary>
internal static partial class PartSplitter
{
    public static List<RawPart> Split(string text)
    {
        List<RawPart> parts = [];
        var lines = text.Split('\n');
        for (var n = 0; n < lines.Length; )
        {
            var kind = KindOf(lines[n]);
            var start = n;
            var body = new StringBuilder();
            var brackets = new BracketCounter();
            do
            {
                body.Append(lines[n]).Append('\n');
                brackets.Read(lines[n]);
                n++;
            } while (n < lines.Length && Continues(kind, brackets, lines[n]));
            if (kind != RawKind.Other || !string.IsNullOrWhiteSpace(body.ToString()))
            {
                parts.Add(new RawPart(kind, body.ToString(), start + 1));
            }
        }

        return parts;
    }

    private static bool Continues(RawKind kind, BracketCounter brackets, string next) =>
        kind switch
        {
            // Another object of a known tool, a prompt or another tool's first line inside an open object mean that the object was cut off.
            RawKind.Json => brackets.Open
                && !Beginning().IsMatch(next)
                && !Prompt().IsMatch(next)
                && KindOf(next) is not (RawKind.Meminfo or RawKind.PlainLscpu),
            RawKind.Meminfo => NameValue().IsMatch(next) && KindOf(next) != RawKind.PlainLscpu,
            RawKind.PlainLscpu => string.IsNullOrWhiteSpace(next)
                || (NameValue().IsMatch(next) && KindOf(next) is not (RawKind.Meminfo or RawKind.PlainLscpu)),
            _ => KindOf(next) == RawKind.Other,
        };

    private static RawKind KindOf(string line) =>
        line.TrimStart().StartsWith('{') ? RawKind.Json
        : line.StartsWith("MemTotal:", StringComparison.Ordinal) ? RawKind.Meminfo
        : line.StartsWith("Architecture:", StringComparison.Ordinal) ? RawKind.PlainLscpu
        : RawKind.Other;

    [GeneratedRegex(@"^\{\s*(""(lscpu|blockdevices|memory)""|$)", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex Beginning();

    [GeneratedRegex(@"^[^\s{}""]*[@:~][^\s{}""]*[$#>]\s", RegexOptions.None, 1_000)]
    private static partial Regex Prompt();

    [GeneratedRegex(@"^\s*[A-Za-z][^:{}""]{0,60}:\s", RegexOptions.None, 1_000)]
    private static partial Regex NameValue();
}
