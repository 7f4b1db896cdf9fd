using System.Globalization;
using CsvHelper;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Formats.Intake;

namespace Yuntak.Formats.Definitions;

/// <summary>Reads a list of guests: name, kind, memory, processors, disk, one guest a line, in columns that a first line may name.</summary>
internal static class GuestListReader
{
    private const int SmallestMebibytes = 257;
    private const int MostInField = 4_000;

    private static readonly string[] Usual = ["name", "kind", "memory", "processors", "disk", "bulk", "profile", "image"];

    private static readonly Dictionary<string, string> Other = new(StringComparer.OrdinalIgnoreCase)
    {
        ["guest"] = "name",
        ["type"] = "kind",
        ["ram"] = "memory",
        ["mem"] = "memory",
        ["cpu"] = "processors",
        ["cpus"] = "processors",
        ["vcpu"] = "processors",
        ["vcpus"] = "processors",
        ["cores"] = "processors",
        ["system-disk"] = "disk",
        ["data"] = "bulk",
        ["what-for"] = "profile",
        ["service"] = "profile",
    };

    private static readonly Dictionary<string, GuestKind> Kinds = new(StringComparer.OrdinalIgnoreCase)
    {
        ["vm"] = GuestKind.Machine,
        ["virtual machine"] = GuestKind.Machine,
        ["container"] = GuestKind.SystemContainer,
        ["stack"] = GuestKind.AppStack,
        ["app"] = GuestKind.AppStack,
        ["app container"] = GuestKind.AppStack,
    };

    /// <summary>Whether a text looks like a list: a first line that names a guest's columns.</summary>
    public static bool Is(string text)
    {
        var start = text.AsSpan().TrimStart("\uFEFF \r\n");
        var end = start.IndexOf('\n');
        var first = end < 0 ? start : start[..end];
        if (first.Length > TypedTable.LongestLine)
        {
            return false;
        }

        var columns = first.ToString().Split(',', ';', '\t').Select(Column).ToList();
        return columns.Count > 1 && columns.Contains("name");
    }

    public static DefinitionReading Read(string text)
    {
        DefinitionLog log = new("list");
        if (TypedTable.TooLong(text) is { } longest)
        {
            log.Left(
                longest,
                $"line {longest}: longer than {TypedTable.LongestLine:#,##0} characters, so this is no list of guests; nothing was read"
            );
            return log.ToReading();
        }

        using var parser = new CsvParser(new StringReader(text), TypedTable.Of(MostInField));
        IReadOnlyList<string> columns = Usual;
        var first = true;
        try
        {
            while (parser.Read())
            {
                var (record, line) = (parser.Record ?? [], parser.RawRow);
                if (first)
                {
                    first = false;
                    var named = record.Select(Column).ToList();
                    if (named.Contains("name"))
                    {
                        columns = named;
                        Left(
                            log,
                            line,
                            record
                                .Where(c => c.Length > 0 && !Usual.Contains(Column(c)))
                                .Select(c => $"column «{Names.Short(Names.Clean(c))}»")
                        );
                        continue;
                    }
                }

                if (!Row(record, columns, line, log))
                {
                    break;
                }
            }
        }
        catch (CsvHelperException)
        {
            log.Left(parser.RawRow, $"line {parser.RawRow}: this line is not one of a list; what came before it was kept");
        }

        return log.ToReading();
    }

    private static bool Row(string[] record, IReadOnlyList<string> columns, int line, DefinitionLog log)
    {
        string? At(string column)
        {
            for (var n = 0; n < columns.Count && n < record.Length; n++)
            {
                if (columns[n] == column && Names.Clean(record[n]) is { Length: > 0 } value)
                {
                    return value;
                }
            }

            return null;
        }

        if (At("name") is not { } name)
        {
            if (record.Any(f => f.Length > 0))
            {
                log.Left(line, $"line {line}: no name, so it was left out");
            }

            return true;
        }

        List<string> problems = [];
        var kind = KindOf(At("kind"), problems);
        var memory = Memory(At("memory"), problems, out var assumed);
        int? vcpu = null;
        if (At("processors") is { } processors)
        {
            if (int.TryParse(processors, NumberStyles.None, CultureInfo.InvariantCulture, out var count) && count is > 0 and <= 4096)
            {
                vcpu = count;
            }
            else
            {
                problems.Add($"processors «{Names.Short(processors)}»");
            }
        }

        var profile = At("profile") is { } said ? ProfileBook.Standard.Find(Names.Slug(said))?.Id : null;
        if (At("profile") is { } unknown && profile is null)
        {
            problems.Add($"profile «{Names.Short(unknown)}»");
        }

        var guest = new Guest(
            new GuestId("new"),
            name,
            kind,
            [new Want(profile ?? ProfileGuess.Of(name, kind, []))],
            new SizeOverrides(vcpu, memory, Size(At("disk"), "disk", problems), Size(At("bulk"), "bulk", problems) ?? ByteSize.Zero),
            Image: kind == GuestKind.AppStack ? At("image") : null,
            Folders: kind == GuestKind.AppStack ? [AppStacks.DefaultFolder(name)] : []
        );
        if (log.Keep(guest, line))
        {
            log.Read(
                line,
                $"line {line}: {name}, {kind.Words()}{(memory is { } size ? $", {size}" : "")}{(assumed ? " (taken as GiB)" : "")}"
            );
            Left(log, line, problems);
            return true;
        }

        return !log.IsFull;
    }

    private static void Left(DefinitionLog log, int line, IEnumerable<string> what)
    {
        if (what.ToList() is { Count: > 0 } left)
        {
            log.Left(line, $"line {line}: {string.Join(", ", left)}: not read");
        }
    }

    private static string Column(string text)
    {
        var word = Names.Slug(Names.Clean(text));
        return Other.GetValueOrDefault(word, word);
    }

    private static GuestKind KindOf(string? said, List<string> problems)
    {
        if (said is null)
        {
            return GuestKind.Machine;
        }

        foreach (var kind in ProfileWords.Kinds.Values)
        {
            if (
                said.Equals(kind.Words(), StringComparison.OrdinalIgnoreCase)
                || said.Equals(ProfileWords.Kinds.Word(kind), StringComparison.OrdinalIgnoreCase)
            )
            {
                return kind;
            }
        }

        if (Kinds.TryGetValue(said, out var known))
        {
            return known;
        }

        problems.Add($"kind «{Names.Short(said)}», taken as a machine");
        return GuestKind.Machine;
    }

    /// <summary>A bare number of memory is one of GiB up to 256 and of MiB past it: nobody gives a guest 257 GiB or 4 MiB at home.</summary>
    private static ByteSize? Memory(string? said, List<string> problems, out bool assumed)
    {
        assumed = false;
        if (said is not null && int.TryParse(said, NumberStyles.None, CultureInfo.InvariantCulture, out var bare) && bare > 0)
        {
            assumed = bare < SmallestMebibytes;
            return assumed ? ByteSize.FromGiB(bare) : ByteSize.FromMiB(bare);
        }

        return Size(said, "memory", problems);
    }

    private static ByteSize? Size(string? said, string what, List<string> problems)
    {
        if (said is null)
        {
            return null;
        }

        var text = said.All(char.IsAsciiDigit) ? said + " GiB" : said;
        if (ByteSize.TryParse(text, Prefixes.Binary, out var size) && size > ByteSize.Zero)
        {
            return size;
        }

        problems.Add($"{what} «{Names.Short(said)}»");
        return null;
    }
}
