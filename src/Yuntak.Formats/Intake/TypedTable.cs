using System.Globalization;
using CsvHelper.Configuration;

namespace Yuntak.Formats.Intake;

/// <summary>Tables as people type them or as their programs write them out: any of the usual marks between columns, blanks around them, empty lines and remarks.</summary>
internal static class TypedTable
{
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
