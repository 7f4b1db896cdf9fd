using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;

namespace Yuntak.Formats.Exports;

/// <summary>
/// Tables for spreadsheets (RFC 4180). A cell that begins with a mark by which a spreadsheet takes it for a formula gets an apostrophe before it, which shows it as text.
/// </summary>
public static class SafeTable
{
    /// <summary>Writes a table.</summary>
    /// <param name="titles">The first line.</param>
    /// <param name="rows">The lines below it: texts and whole numbers.</param>
    public static string Of(IEnumerable<string> titles, IEnumerable<IEnumerable<object>> rows)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        var settings = new CsvConfiguration(CultureInfo.InvariantCulture) { NewLine = "\n", InjectionOptions = InjectionOptions.Escape };
        using (var csv = new CsvWriter(text, settings, leaveOpen: true))
        {
            foreach (var row in rows.Prepend(titles))
            {
                foreach (var cell in row)
                {
                    csv.WriteField(Convert.ToString(cell, CultureInfo.InvariantCulture));
                }

                csv.NextRecord();
            }
        }

        return text.ToString();
    }
}
