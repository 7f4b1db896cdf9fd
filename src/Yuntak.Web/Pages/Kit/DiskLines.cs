using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;

namespace Yuntak.Web.Pages.Kit;

/// <summary>Reads disks typed one a line: «2 x 4 TB spinning», «240 GB sata-flash boot».</summary>
internal static class DiskLines
{
    private const int MostAtOnce = 64;
    private const int MostTogether = 256;
    private const string Boot = "boot";

    /// <summary>The disks, with ids made up from the host's name until they are read from the host itself.</summary>
    /// <exception cref="Refused">A line cannot be read; the message quotes it.</exception>
    public static IEnumerable<Disk> Read(string lines, string hostName, IEnumerable<Disk> have)
    {
        var names = have.Select(d => d.Name).ToHashSet(StringComparer.Ordinal);
        List<Disk> disks = [];
        foreach (var line in lines.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            var boots = line.EndsWith(" " + Boot, StringComparison.OrdinalIgnoreCase);
            var (count, size, kind) = DiskText.Sort(boots ? line[..^Boot.Length].TrimEnd() : line);
            if (kind is null)
            {
                throw new Refused(
                    $"Disks: «{Names.Short(Names.Clean(line))}» does not say what they are. A line is «2 x 4 TB spinning»; kinds are {string.Join(", ", LabWords.Disks.Known)}."
                );
            }

            if (count > MostAtOnce || disks.Count + count > MostTogether)
            {
                throw new Refused($"Disks: 1 to {MostAtOnce} on a line, not {count}.");
            }

            for (var n = 0; n < count; n++)
            {
                var name = Enumerable.Range(1, int.MaxValue).Select(i => $"disk {i}").First(names.Add);
                disks.Add(
                    new Disk($"{Names.Slug(hostName)}-{name.Replace(' ', '-')}", name, size, kind.Value, boots && n == 0 ? ["/"] : [])
                );
            }
        }

        return disks;
    }
}
