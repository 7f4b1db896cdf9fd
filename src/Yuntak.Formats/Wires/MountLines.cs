using System.Text;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Formats.Wires;

/// <summary>How a guest's shares are mounted: lines of fstab(5), and units of systemd.mount(5), where the guest or its host mounts them.</summary>
public static class MountLines
{
    /// <summary>
    /// The lines for a guest: those it mounts itself, and those its host mounts for it and hands in. They wait for the network, and the machine starts without them
    /// when who exports is away.
    /// </summary>
    public static string Fstab(HouseWires wires, Guest guest)
    {
        var text = new StringBuilder();
        var host = wires.Lab.HostOf(guest);
        foreach (var by in new[] { MountBy.Guest, MountBy.Host })
        {
            foreach (var mount in guest.Mounts.Where(m => m.By == by))
            {
                if (wires.Lab.Shares.FirstOrDefault(s => s.Name == mount.Share) is not { } share)
                {
                    continue;
                }

                var where =
                    by == MountBy.Guest
                        ? $"in {Plain(guest.Name)}"
                        : $"on {Plain(host?.Name ?? "its host")}, handed in at {Plain(mount.At)}";
                text.Append($"# {Plain(share.Name)}: {where}\n");
                if (ShareSums.Exporter(wires.Lab, share) is { } exporter && exporter == ShareSums.Mounter(wires.Lab, guest, mount))
                {
                    text.Append($"# lies there already: hand {Plain(share.From.Path)} in, nothing is mounted\n");
                    continue;
                }

                text.Append(MountLine.Of(wires, share).At(MountLine.PlaceOf(mount))).Append('\n');
            }
        }

        return text.ToString();
    }

    /// <summary>
    /// The units that mount a guest's shares, each with the name its file must have: a mount, and an automount that is enabled in its place, so that the machine starts
    /// without the exporter and mounts at the first use, as the lines of fstab do.
    /// </summary>
    public static IReadOnlyList<(string Name, string Text)> Units(HouseWires wires, Guest guest) =>
        [
            .. guest
                .Mounts.Select(m => (Mount: m, Share: wires.Lab.Shares.FirstOrDefault(s => s.Name == m.Share)))
                .Where(m => m.Share is not null && ShareSums.Exporter(wires.Lab, m.Share) != ShareSums.Mounter(wires.Lab, guest, m.Mount))
                .SelectMany(m => Units(wires, m.Mount, m.Share!)),
        ];

    private static IEnumerable<(string Name, string Text)> Units(HouseWires wires, ShareMount mount, NetworkShare share)
    {
        var (what, sort, options) = MountLine.Of(wires, share);
        var at = MountLine.PlaceOf(mount);
        var name = UnitName(at);
        var described = Specifiers(Plain(share.Name));
        yield return (
            name,
            $"[Unit]\nDescription={described}\nWants=network-online.target\nAfter=network-online.target\n\n"
                + $"[Mount]\nWhat={Specifiers(what)}\nWhere={Specifiers(at)}\nType={sort}\nOptions={options.Replace(MountLine.Waits, "_netdev", StringComparison.Ordinal)}\n"
        );
        yield return (
            name[..^".mount".Length] + ".automount",
            $"[Unit]\nDescription={described}, mounted at its first use\n\n[Automount]\nWhere={Specifiers(at)}\n\n[Install]\nWantedBy=multi-user.target\n"
        );
    }

    /// <summary>The name of a mount unit: the path with hyphens for slashes, all else escaped (systemd.unit(5)).</summary>
    private static string UnitName(string path)
    {
        var text = new StringBuilder();
        var bytes = Encoding.UTF8.GetBytes(path.Trim('/'));
        for (var n = 0; n < bytes.Length; n++)
        {
            var c = (char)bytes[n];
            text.Append(
                c == '/' ? "-"
                : char.IsAsciiLetterOrDigit(c) || c is '_' or ':' || (c == '.' && n > 0) ? c.ToString()
                : $"\\x{bytes[n]:x2}"
            );
        }

        return text.Append(".mount").ToString();
    }

    private static string Specifiers(string text) => text.Replace("%", "%%", StringComparison.Ordinal);

    /// <summary>A name in a comment: on one line, whatever is in it.</summary>
    private static string Plain(string text) => Names.Clean(text);
}
