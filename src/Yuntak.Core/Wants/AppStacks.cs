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
}
