using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>Disks and layouts as people type them: «6x20TB», «1x6TB,1x2TB», «2*parity2».</summary>
public static class DiskText
{
    /// <summary>The most disks that are reckoned with at once.</summary>
    public const int MostDisks = 240;

    private const int MostGroups = 60;

    /// <summary>Reads disks: count, an x, a size, perhaps a kind behind a colon or a space; several sorts with commas between.</summary>
    /// <exception cref="Refused">The text makes no disks; the message says what is wrong.</exception>
    public static IReadOnlyList<DiskSpec> Disks(string? text)
    {
        List<DiskSpec> disks = [];
        foreach (var part in (text ?? "").Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            var (count, size, kind) = Sort(part);
            disks.AddRange(Enumerable.Repeat(new DiskSpec(size, kind ?? DiskKind.Spinning), count));
        }

        return disks.Count switch
        {
            0 => throw new Refused("Say how many disks and how large, such as 6x20TB, 2 x 4 TB spinning, or 1x6TB,1x2TB for unequal ones."),
            > MostDisks => throw new Refused($"{disks.Count} disks; up to {MostDisks} are reckoned with."),
            _ => disks,
        };
    }

    /// <summary>Reads disks of one sort: «6x20TB», «2 x 4 TB spinning», «1.92TB:nvme-flash». The kind is null when none was said.</summary>
    /// <exception cref="Refused">The message quotes the part and says what belongs there.</exception>
    public static (int Count, ByteSize Size, DiskKind? Kind) Sort(string part)
    {
        var (sort, kind) = Kind(part);
        var at = sort.IndexOfAny(Times);
        var count = 1;
        if (at >= 0 && !(int.TryParse(sort[..at].Trim(), NumberStyles.None, CultureInfo.InvariantCulture, out count) && count <= MostDisks))
        {
            throw new Refused($"«{Names.Short(part)}»: a number of disks up to {MostDisks} belongs before the x, such as 6x20TB.");
        }

        if (!ByteSize.TryParse(sort[(at + 1)..], Prefixes.Decimal, out var size))
        {
            throw new Refused(
                $"«{Names.Short(part)}»: a size such as 20TB or 960GB belongs here, perhaps with one of {string.Join(", ", LabWords.Disks.Known)} behind it, not «{Names.Short(sort[(at + 1)..].Trim())}»."
            );
        }

        return count == 0 || size == ByteSize.Zero
            ? throw new Refused($"«{Names.Short(part)}» is no disk. Write how many and how large, such as 6x20TB.")
            : (count, size, kind);
    }

    /// <summary>Reads a layout: a word, perhaps with a number of groups and a star before it.</summary>
    /// <exception cref="Refused">There is no such layout.</exception>
    public static (PoolLayout Layout, int Groups) Layout(string? text)
    {
        var typed = Names.Clean(text);
        var star = typed.IndexOf('*', StringComparison.Ordinal);
        var groups = 1;
        if (
            star >= 0
            && !(
                int.TryParse(typed[..star].Trim(), NumberStyles.None, CultureInfo.InvariantCulture, out groups)
                && groups is > 0 and <= MostGroups
            )
        )
        {
            throw new Refused(
                $"«{Names.Short(typed)}»: a number of groups from 1 to {MostGroups} belongs before the star, such as 2*parity2."
            );
        }

        var word = typed[(star + 1)..].Trim();
        return LabWords.Layouts.TryRead(word, out var layout)
            ? (layout, groups)
            : throw new Refused(
                $"There is no layout «{Names.Short(word)}». There are: {string.Join(", ", LabWords.Layouts.Known)}; groups as 2*parity2."
            );
    }

    /// <summary>A layout as it is typed.</summary>
    public static string Word(PoolLayout layout, int groups = 1) => (groups > 1 ? $"{groups}*" : "") + LabWords.Layouts.Word(layout);

    /// <summary>Disks as they are typed: «6x20TB».</summary>
    public static string Word(IEnumerable<DiskSpec> disks) =>
        string.Join(
            ',',
            disks
                .GroupBy(d => d)
                .Select(g =>
                    $"{g.Count()}x{g.Key.Size.ToDecimalString().Replace(Numbers.ThinSpace, "", StringComparison.Ordinal)}"
                    + (g.Key.Kind == DiskKind.Spinning ? "" : ":" + LabWords.Disks.Word(g.Key.Kind))
                )
        );

    private static readonly char[] Times = ['x', 'X', '×', '*'];

    /// <summary>Takes the kind off the end: behind a colon it must be one, behind a space it may be.</summary>
    private static (string Sort, DiskKind? Kind) Kind(string part)
    {
        var colon = part.IndexOf(':', StringComparison.Ordinal);
        if (colon < 0)
        {
            foreach (var space in Enumerable.Range(0, part.Length).Where(n => part[n] == ' '))
            {
                if (LabWords.Disks.TryRead(part[(space + 1)..].Trim().ToLowerInvariant().Replace(' ', '-'), out var said))
                {
                    return (part[..space], said);
                }
            }

            return (part, null);
        }

        return LabWords.Disks.TryRead(part[(colon + 1)..].Trim().ToLowerInvariant(), out var kind)
            ? (part[..colon], kind)
            : throw new Refused($"«{Names.Short(part)}»: behind the colon stands one of {string.Join(", ", LabWords.Disks.Known)}.");
    }
}
