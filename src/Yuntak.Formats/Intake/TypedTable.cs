using System.Globalization;
using CsvHelper.Configuration;

namespace Yuntak.Formats.Intake;

/// <summary>Tables as people type them or as their programs write them out: any of the usual marks between columns, blanks around them, empty lines and remarks.</summary>
internal static class TypedTable
{
    /// <summary>The longest line that is read, in characters: tables are typed, or have some dozen columns.</summary>
    public const int LongestLine = 20_000;

    /// <summary>The first line that is too long to be one of a table, counted from 1; null when there is none. Looked for before a line is taken apart.</summary>
    public static int? TooLong(string text)
    {
        var (line, start) = (1, 0);
        for (var at = text.AsSpan().IndexOfAny('\n', '\r'); at >= 0; at = text.AsSpan(start).IndexOfAny('\n', '\r'))
        {
            if (at > LongestLine)
            {
                return line;
            }

            start += at + 1;
            line += start < text.Length && text[start - 1] == '\r' && text[start] == '\n' ? 0 : 1;
        }

        return text.Length - start > LongestLine ? line : null;
    }

    /// <summary>How such a table is read.</summary>
    /// <param name="longest">The longest a field may be, in characters.</param>
    public static CsvConfiguration Of(int longest) =>
        new(CultureInfo.InvariantCulture)
        {
            DetectDelimiter = true,
            DetectDelimiterValues = [",", ";", "\t", "|"],
            TrimOptions = TrimOptions.Trim,
            MaxFieldSize = longest,
            BadDataFound = null,
            AllowComments = true,
            Comment = '#',
            IgnoreBlankLines = true,
        };
}
