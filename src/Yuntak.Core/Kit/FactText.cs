using Yuntak.Core.Base;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit;

/// <summary>Writes and reads the values of facts. What cannot be read is refused with what would be right.</summary>
internal static class FactText
{
    public const string Yes = "yes";
    public const string No = "no";
    public static readonly ValueList<string> YesNo = [Yes, No];

    public static bool? Answer(string text) =>
        text switch
        {
            Yes => true,
            No => false,
            _ => null,
        };

    public static string? Listed(ValueList<string> items) => items.Count == 0 ? null : string.Join(", ", items);

    public static string? Words(string text) =>
        Names.Clean(text) is { Length: > 0 } words
            ? words.Length > 120
                ? words[..120]
                : words
            : null;

    public static int Whole(string text, string what, int least, int most) =>
        Numbers.TryParse(text, out var n) && n >= least && n <= most && n == Math.Floor(n)
            ? (int)n
            : throw Refused($"{what}, a whole number from {least} to {most:#,##0}", text);

    public static double? Number(string text, string what) =>
        text.Trim().Length == 0 ? null
        : Numbers.TryParse(text, out var n) && n < 1e9 ? n
        : throw Refused($"{what}, a number", text);

    public static ByteSize Size(string text, string what, Prefixes bare) =>
        ByteSize.TryParse(text, bare, out var size, "GiB") && size > ByteSize.Zero
            ? size
            : throw Refused($"{what}, such as «4 GiB» or «500 GB»", text);

    public static DateOnly? Day(string text) =>
        Codecs.Day.TryRead(text, out var day) ? day : throw Refused("a day such as 2025-03-14", text);

    public static Refused Refused(string what, string text) =>
        new($"Here belongs {what}, not «{(text.Length > 40 ? text[..40] + "…" : text)}».");
}
