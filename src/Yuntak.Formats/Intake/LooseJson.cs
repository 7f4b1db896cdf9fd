using System.Globalization;
using System.Text.Json;
using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>Reads values that different versions of a tool write as text, number or flag.</summary>
internal static class LooseJson
{
    /// <summary>A value as text on one line without control characters; null when it is missing, null, or nothing but blanks.</summary>
    public static string? Text(this JsonElement row, string name)
    {
        if (row.ValueKind != JsonValueKind.Object || !row.TryGetProperty(name, out var value))
        {
            return null;
        }

        var text = value.ValueKind switch
        {
            JsonValueKind.String => value.Readable(),
            JsonValueKind.Number or JsonValueKind.True or JsonValueKind.False => value.GetRawText(),
            _ => null,
        };
        return Names.Clean(text) is { Length: > 0 } clean ? clean : null;
    }

    /// <summary>A string; null when it holds half a character, which JSON can spell but text cannot hold.</summary>
    public static string? Readable(this JsonElement value)
    {
        try
        {
            return value.GetString();
        }
        catch (InvalidOperationException)
        {
            return null;
        }
    }

    /// <summary>A flag written as true, "1", 1 or "true"; null when it is missing.</summary>
    public static bool? Flag(this JsonElement row, string name) =>
        row.Text(name)?.ToLowerInvariant() switch
        {
            "1" or "true" or "yes" => true,
            "0" or "false" or "no" => false,
            _ => null,
        };

    /// <summary>A size in bytes, as number or text. Rounded sizes such as «931.5G» are read too.</summary>
    /// <param name="row">The row.</param>
    /// <param name="name">The column.</param>
    /// <param name="rounded">Whether it was a rounded size.</param>
    public static ByteSize? Size(this JsonElement row, string name, out bool rounded)
    {
        rounded = false;
        var text = row.Text(name);
        if (text is null)
        {
            return null;
        }

        if (long.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var bytes))
        {
            return new ByteSize(Math.Min(bytes, ByteSize.LargestEntered.Bytes));
        }

        rounded = true;
        return ByteSize.TryParse(text, Prefixes.Binary, out var size) ? size : null;
    }

    /// <summary>The rows of an array; none when it is missing or something else.</summary>
    public static IEnumerable<JsonElement> Rows(this JsonElement row, string name) =>
        row.ValueKind == JsonValueKind.Object && row.TryGetProperty(name, out var value) && value.ValueKind == JsonValueKind.Array
            ? value.EnumerateArray()
            : [];

    /// <summary>An object inside an object; an undefined element, of which everything else here answers nothing, when there is none.</summary>
    public static JsonElement At(this JsonElement row, string name) =>
        row.ValueKind == JsonValueKind.Object && row.TryGetProperty(name, out var value) ? value : default;

    /// <summary>A number, also when it is written as text; null when it is missing, too large or something else.</summary>
    public static double? Number(this JsonElement row, string name) =>
        double.TryParse(row.Text(name), NumberStyles.Float, CultureInfo.InvariantCulture, out var number) && double.IsFinite(number)
            ? number
            : null;

    /// <summary>The value itself as a number; null when it is too large.</summary>
    public static double? Double(this JsonElement value) => value.TryGetDouble(out var number) && double.IsFinite(number) ? number : null;
}
