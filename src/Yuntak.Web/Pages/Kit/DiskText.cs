using System.Text.RegularExpressions;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Web.Pages.Kit;

/// <summary>Reads disks typed one a line: «2 x 4 TB spinning», «240 GB sata-flash boot».</summary>
internal static partial class DiskText
{
    private const int MostAtOnce = 64;

    private static readonly Dictionary<string, DiskKind> Kinds = new(StringComparer.OrdinalIgnoreCase)
    {
        ["spinning"] = DiskKind.Spinning,
        ["sata-flash"] = DiskKind.SataFlash,
        ["nvme-flash"] = DiskKind.NvmeFlash,
        ["usb"] = DiskKind.Usb,
        ["card"] = DiskKind.Card,
        ["virtual"] = DiskKind.Virtual,
    };

    /// <summary>The disks, with ids made up from the host's name until they are read from the host itself.</summary>
    /// <exception cref="EditRefused">A line cannot be read; the message quotes it.</exception>
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
                || !Kinds.TryGetValue(match.Groups["kind"].Value, out var kind)
            )
            {
                throw new EditRefused(
                    $"Disks: a line is «2 x 4 TB spinning», not «{Names.Clean(line)}». Kinds are {string.Join(", ", Kinds.Keys)}."
                );
            }

            var count = match.Groups["count"].Success ? int.Parse(match.Groups["count"].Value) : 1;
            if (count is < 1 or > MostAtOnce || disks.Count + count > 256)
            {
                throw new EditRefused($"Disks: 1 to {MostAtOnce} on a line, not {count}.");
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
        @"^((?<count>\d{1,3})\s*[x×*]\s*)?(?<size>[\d.,]+\s*[a-z]+)\s+(?<kind>[a-z-]+)(?<boot>\s+boot)?$",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture,
        500
    )]
    private static partial Regex Line();
}
