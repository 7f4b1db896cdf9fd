using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Web.Shared;

/// <summary>Reads what people type, or refuses it with what would be right.</summary>
internal static class Typed
{
    /// <summary>A size; bare letters are binary and a bare number is in GiB.</summary>
    public static ByteSize Size(string? text, string what, Prefixes bareLetter = Prefixes.Binary, string bareNumber = "GiB") =>
        ByteSize.TryParse(text, bareLetter, out var size, bareNumber)
            ? size
            : throw new Refused($"{what}: a size such as «4 GiB» or «500 GB» belongs here, not «{Short(text)}».");

    /// <summary>A size, or null when nothing was typed.</summary>
    public static ByteSize? OptionalSize(string? text, string what) => string.IsNullOrWhiteSpace(text) ? null : Size(text, what);

    /// <summary>A whole number.</summary>
    public static int Whole(string? text, string what, int min, int max) =>
        int.TryParse(text?.Trim(), NumberStyles.None, CultureInfo.InvariantCulture, out var number) && number >= min && number <= max
            ? number
            : throw new Refused($"{what}: a whole number from {min} to {max:#,##0} belongs here, not «{Short(text)}».");

    /// <summary>A whole number, or null when nothing was typed.</summary>
    public static int? OptionalWhole(string? text, string what, int min, int max) =>
        string.IsNullOrWhiteSpace(text) ? null : Whole(text, what, min, max);

    /// <summary>A number, or null when nothing was typed.</summary>
    public static double? OptionalNumber(string? text, string what) =>
        string.IsNullOrWhiteSpace(text) ? null
        : Numbers.TryParse(text, out var number) ? number
        : throw new Refused($"{what}: a number belongs here, not «{Short(text)}».");

    private static string Short(string? text) =>
        text is null ? ""
        : text.Length > 40 ? text[..40] + "…"
        : text;
}
