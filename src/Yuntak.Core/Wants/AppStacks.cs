using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wants;

/// <summary>What every app stack has in common.</summary>
public static class AppStacks
{
    /// <summary>The data folder an app stack gets unless the person names others.</summary>
    public static FolderMount DefaultFolder(string guestName) => new($"/srv/{Names.Slug(guestName)}/data", "/data");

    /// <summary>The tag of an image reference, or null when it has none: the part after the last colon, unless that colon belongs to a port.</summary>
    public static string? Tag(string image)
    {
        var withoutDigest = image.Split('@')[0];
        var colon = withoutDigest.LastIndexOf(':');
        return colon > withoutDigest.LastIndexOf('/') && colon < withoutDigest.Length - 1 ? withoutDigest[(colon + 1)..] : null;
    }

    /// <summary>Reads a data folder as people write it: «/srv/a:/data», «/srv/a:/data:ro», or with spaces in place of the colons.</summary>
    /// <exception cref="Refused">The line is none; the message quotes it.</exception>
    public static FolderMount FolderLine(string line)
    {
        var parts = line.Split([' ', '\t'], StringSplitOptions.RemoveEmptyEntries);
        if (parts.Length == 1)
        {
            parts = line.Trim().Split(':');
        }
        else if (parts.Length == 2 && parts[1].LastIndexOf(':') is > 0 and var at)
        {
            parts = [parts[0], parts[1][..at], parts[1][(at + 1)..]];
        }

        var words = parts.Length == 3 ? parts[2] : "rw";
        return parts.Length is 2 or 3 && parts[0].StartsWith('/') && parts[1].StartsWith('/') && words is "ro" or "rw"
            ? new FolderMount(Names.Clean(parts[0]), Names.Clean(parts[1]), words == "ro")
            : throw new Refused(
                $"Data folders: a line is «/folder/on/host:/folder/in/container», perhaps with «:ro» behind it, not «{Names.Short(Names.Clean(line))}»."
            );
    }

    /// <summary>A data folder as it is written: with colons, or with spaces where a path has a colon of its own.</summary>
    public static string Line(FolderMount folder)
    {
        var between =
            folder.HostPath.Contains(':', StringComparison.Ordinal) || folder.ContainerPath.Contains(':', StringComparison.Ordinal)
                ? " "
                : ":";
        return folder.HostPath + between + folder.ContainerPath + (folder.ReadOnly ? between + "ro" : "");
    }
}
