using System.Text.RegularExpressions;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;

namespace Yuntak.Web.Pages.Kit;

/// <summary>Reads disks typed one a line: «2 x 4 TB spinning», «240 GB sata-flash boot».</summary>
internal static partial class DiskLines
{
    private const int MostAtOnce = 64;

    /// <summary>The disks, with ids made up from the host's name until they are read from the host itself.</summary>
    /// <exception cref="Refused">A line cannot be read; the message quotes it.</exception>
    public static IEnumerable<Disk> Read(string lines, string hostName, IEnumerable<Disk> have)
    {
        var names = have.Select(d => d.Name).ToHashSet(StringComparer.Ordinal);
        List<Disk> disks = [];
        foreach (var line in lines.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            var match = Line().Match(line);
            if (
                !match.Success
                || !ByteSize.TryParse(match.Groups["size"].Value, Prefixes.Decimal, out var size)
                || size == ByteSize.Zero
                || !LabWords.Disks.TryRead(match.Groups["kind"].Value.ToLowerInvariant(), out var kind)
            )
            {
                throw new Refused(
                    $"Disks: a line is «2 x 4 TB spinning», not «{Names.Clean(line)}». Kinds are {string.Join(", ", LabWords.Disks.Known)}."
                );
            }

            var count = match.Groups["count"].Success ? int.Parse(match.Groups["count"].Value) : 1;
            if (count is < 1 or > MostAtOnce || disks.Count + count > 256)
            {
                throw new Refused($"Disks: 1 to {MostAtOnce} on a line, not {count}.");
            }

            for (var n = 0; n < count; n++)
            {
                var name = Enumerable.Range(1, int.MaxValue).Select(i => $"disk {i}").First(names.Add);
                disks.Add(
                    new Disk(
                        $"{Names.Slug(hostName)}-{name.Replace(' ', '-')}",
                        name,
                        size,
                        kind,
                        match.Groups["boot"].Success && n == 0 ? ["/"] : []
                    )
                );
            }
        }

        return disks;
    }

    [GeneratedRegex(
        @"^((?<count>[0-9]{1,3})\s*[x×*]\s*)?(?<size>[0-9.,]+\s*[a-z]+)\s+(?<kind>[a-z-]+)(?<boot>\s+boot)?$",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture,
        500
    )]
    private static partial Regex Line();
}
