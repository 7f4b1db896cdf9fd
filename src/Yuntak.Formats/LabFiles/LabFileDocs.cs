using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.LabFiles;

/// <summary>What is published about the lab file: its JSON Schema and the table of its members, both read from the shapes that read and write the file.</summary>
public static class LabFileDocs
{
    /// <summary>The line in <c>lab-file.md</c> that the table begins below.</summary>
    public const string TableBegins = "<!-- the table below is written by ./yuntak docs -->";

    private static readonly JsonSerializerOptions Readable = new()
    {
        WriteIndented = true,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    /// <summary>The JSON Schema (draft 7) of a lab file.</summary>
    public static string Schema()
    {
        var parts = new JsonObject
        {
            ["size"] = new JsonObject
            {
                ["description"] = "A number and a unit: 4 GiB, 500 GB, 1.5 TB.",
                ["type"] = "string",
                ["pattern"] = @"^\s*[0-9][0-9.,_]*\s*([kKmMgGtTpP]([iI]?[bB])?|[bB])\s*$",
            },
        };
        var lab = LabShapes.Lab.Schema(parts);
        var properties = (JsonObject)lab["properties"]!;
        properties.Insert(
            0,
            "yuntak",
            new JsonObject { ["description"] = "Version of the format.", ["enum"] = new JsonArray(LabFile.Version) }
        );
        ((JsonArray)lab["required"]!).Insert(0, "yuntak");
        lab.Insert(0, "$schema", "http://json-schema.org/draft-07/schema#");
        lab.Insert(1, "title", "Yuntak lab file");
        lab.Insert(
            2,
            "description",
            "A whole lab: hosts with their disks and pools, guests with what they are for and where they run. Described in lab-file.md."
        );
        lab["definitions"] = parts;
        return lab.ToJsonString(Readable) + "\n";
    }

    /// <summary>The members of every record of a lab file, as Markdown tables.</summary>
    public static string Table()
    {
        var tables = new Dictionary<string, IReadOnlyList<FieldText>>(StringComparer.Ordinal);
        LabShapes.Lab.Describe(tables);
        var text = new StringBuilder();
        foreach (var (record, fields) in tables)
        {
            text.Append(
                System.Globalization.CultureInfo.InvariantCulture,
                $"\n### {record}\n\n| name | what | what may stand there |\n|---|---|---|\n"
            );
            foreach (var field in fields)
            {
                var about = field.About.Length > 0 ? $"; {field.About}" : "";
                var what = field.Label.Length > 0 ? field.Label : field.Name.Replace('-', ' ');
                text.Append(
                    System.Globalization.CultureInfo.InvariantCulture,
                    $"| `{field.Name}` | {Cell(what + about)} | {Cell(field.Expects)}{(field.Needed ? " · **needed**" : "")} |\n"
                );
            }
        }

        return text.ToString();
    }

    /// <summary>The page about the lab file with its table as it should be.</summary>
    public static string Page(string page)
    {
        if (!page.Contains(TableBegins, StringComparison.Ordinal))
        {
            return page;
        }

        var above = page[..(page.IndexOf(TableBegins, StringComparison.Ordinal) + TableBegins.Length)] + "\n" + Table();
        var from = above.IndexOf(ProfilesBegin, StringComparison.Ordinal);
        var to = from < 0 ? -1 : above.IndexOf("\n## ", from, StringComparison.Ordinal);
        return to < 0 ? above : above[..from] + Profiles() + above[to..];
    }

    /// <summary>The profiles that come with Yuntak, each with what it asks.</summary>
    private static string Profiles()
    {
        var table = new StringBuilder(ProfilesBegin + "\n|---|---|\n");
        foreach (var profile in ProfileBook.Standard.All)
        {
            var loads = profile.Loads.Select(l =>
                $"`{l.Id}`: {char.ToLowerInvariant(l.Label[0])}{l.Label[1..]}"
                + (
                    l.YesNo
                        ? $" (yes 1 or no 0, usually {Numbers.Short(l.Default)})"
                        : $"{(l.Unit.Length > 0 ? ", in " + l.Unit : "")} ({Numbers.Short(l.Min)} to {Numbers.Short(l.Max)}, usually {Numbers.Short(l.Default)})"
                )
            );
            table.Append($"| `{profile.Id}` | {(profile.Loads.Count > 0 ? string.Join("; ", loads) : "none")} |\n");
        }

        return table.ToString();
    }

    private const string ProfilesBegin = "| profile | loads |";

    private static string Cell(string text) => text.Replace("|", "\\|", StringComparison.Ordinal);
}
