using System.Globalization;
using System.Text;
using CsvHelper;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;

namespace Yuntak.Formats.Copies;

/// <summary>
/// Reads a list of copies that are there, one a line: guest, time, bytes, and when it was read back, in columns that a first line may name. A comma, semicolon, tab, bar or blanks
/// stand between them.
/// </summary>
public static class CopyList
{
    /// <summary>The most lines that are looked at.</summary>
    public const int MostLines = 100_000;

    private const int MostProblems = 20;
    private const int MostInField = 400;

    private static readonly string[] Usual = ["guest", "time", "bytes", "checked"];

    private static readonly Dictionary<string, string> Other = new(StringComparer.OrdinalIgnoreCase)
    {
        ["name"] = "guest",
        ["what"] = "guest",
        ["at"] = "time",
        ["taken"] = "time",
        ["date"] = "time",
        ["size"] = "bytes",
        ["verified"] = "checked",
        ["read back"] = "checked",
        ["for good"] = "for-good",
        ["protected"] = "for-good",
    };

    /// <summary>Reads a list.</summary>
    /// <param name="text">The text.</param>
    /// <param name="lab">The lab, to know its guests by their names.</param>
    /// <param name="store">The store the list is of.</param>
    public static CopyReading Read(string text, Lab lab, string store)
    {
        CopyReading.Draft draft = new();
        if (TypedTable.TooLong(text) is { } longest)
        {
            draft.Problem(
                $"Line {longest} is longer than {Numbers.Exact(TypedTable.LongestLine)} characters, so this is no list of copies; nothing was read."
            );
            return draft.Done();
        }

        var guests = lab
            .Guests.GroupBy(g => g.Name, StringComparer.OrdinalIgnoreCase)
            .ToDictionary(g => g.Key, g => g.First().Id, StringComparer.OrdinalIgnoreCase);
        using var parser = new CsvParser(new StringReader(HasMarks(text) ? text : BetweenBlanks(text)), TypedTable.Of(MostInField));
        IReadOnlyList<string> columns = Usual;
        var first = true;
        try
        {
            while (parser.Read())
            {
                if (parser.RawRow > MostLines)
                {
                    draft.Problem($"The list has more than {Numbers.Exact(MostLines)} lines; the rest was not read.");
                    break;
                }

                var record = parser.Record ?? [];
                if (first)
                {
                    first = false;
                    var named = record.Select(Column).ToList();
                    if (named.Contains("guest") && named.Contains("time"))
                    {
                        columns = named;
                        continue;
                    }
                }

                Line(record, columns, parser.RawRow, guests, store, draft);
                if (draft.Count > KeepingShapes.MostCopies)
                {
                    draft.Problem($"More than {Numbers.Exact(KeepingShapes.MostCopies)} copies are not kept; the rest was not read.");
                    break;
                }
            }
        }
        catch (CsvHelperException)
        {
            draft.Problem($"Line {parser.RawRow} is none of a list; what came before it was read.");
        }

        return draft.Done();
    }

    private static void Line(
        string[] record,
        IReadOnlyList<string> columns,
        int line,
        Dictionary<string, GuestId> guests,
        string store,
        CopyReading.Draft draft
    )
    {
        string At(string column)
        {
            var n = columns.ToList().IndexOf(column);
            return n >= 0 && n < record.Length ? Names.Clean(record[n]) : "";
        }

        if (record.All(string.IsNullOrWhiteSpace))
        {
            return;
        }

        if (draft.Problems >= MostProblems)
        {
            draft.More();
            return;
        }

        if (!guests.TryGetValue(At("guest"), out var guest))
        {
            draft.Stranger(At("guest"));
        }
        else if (Moments.Read(At("time").TrimEnd('Z')) is not { } at)
        {
            draft.Problem($"Line {line}: «{Names.Short(At("time"))}» is no moment from 1970 to 2199; write it like 2026-11-26T22:30.");
        }
        else if (At("bytes").Length > 0 && !ByteSize.TryParse(Sized(At("bytes")), Prefixes.Decimal, out _))
        {
            draft.Problem($"Line {line}: «{Names.Short(At("bytes"))}» is no size.");
        }
        else
        {
            draft.Add(
                new KnownCopy(
                    guest,
                    store,
                    Moments.Write(at),
                    At("bytes").Length > 0
                    && ByteSize.TryParse(Sized(At("bytes")), Prefixes.Decimal, out var size)
                    && size <= ByteSize.LargestEntered
                        ? size
                        : null,
                    Checked(At("checked"), at),
                    IsYes(At("for-good"))
                )
            );
        }
    }

    private static bool HasMarks(string text) => text.AsSpan(0, Math.Min(text.Length, Looked)).ContainsAny(",;\t|");

    /// <summary>A text with neither commas nor tabs has its columns between blanks; a day and the time after it are one.</summary>
    private static string BetweenBlanks(string text)
    {
        var rows = new StringBuilder();
        foreach (var line in text.Split('\n').Take(MostLines + 1))
        {
            var words = line.Split([' ', '\r'], StringSplitOptions.RemoveEmptyEntries);
            for (var n = 0; n < words.Length; n++)
            {
                var joins = n > 0 && words[n].Contains(':', StringComparison.Ordinal) && Moments.Read(words[n - 1]) is not null;
                rows.Append(
                        n == 0 ? ""
                        : joins ? "T"
                        : ","
                    )
                    .Append(words[n]);
            }

            rows.Append('\n');
        }

        return rows.ToString();
    }

    private const int Looked = 4_000;

    /// <summary>A bare number is in bytes.</summary>
    private static string Sized(string text) => text.All(char.IsAsciiDigit) ? text + " B" : text;

    /// <summary>«yes» is on the day it was taken; a day is that day.</summary>
    private static DateOnly? Checked(string text, DateTime taken) =>
        Moments.Read(text.TrimEnd('Z')) is { } at ? DateOnly.FromDateTime(at)
        : IsYes(text) ? DateOnly.FromDateTime(taken)
        : null;

    private static bool IsYes(string text) => text.ToLowerInvariant() is "yes" or "true" or "ok" or "1";

    private static string Column(string title)
    {
        var name = Names.Clean(title).ToLowerInvariant();
        return Other.GetValueOrDefault(name, name);
    }
}
