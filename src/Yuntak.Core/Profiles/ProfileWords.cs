using Yuntak.Core.Base;

namespace Yuntak.Core.Profiles;

/// <summary>The words for the enumerations of profiles.</summary>
public static class ProfileWords
{
    /// <summary>The ways of packaging a service.</summary>
    public static readonly WordTable<GuestKind> Kinds = new(
        (GuestKind.Machine, "machine", "machine"),
        (GuestKind.SystemContainer, "system-container", "system container"),
        (GuestKind.AppStack, "app-stack", "app stack")
    );

    /// <summary>The families of services.</summary>
    public static readonly WordTable<Family> Families = new(
        (Family.House, "house", "House"),
        (Family.Media, "media", "Films and music"),
        (Family.Files, "files", "Files and notes"),
        (Family.Cameras, "cameras", "Cameras"),
        (Family.Network, "network", "Network"),
        (Family.Keeping, "keeping", "Backups"),
        (Family.Workshop, "workshop", "Workshop")
    );

    /// <summary>A kind of guest in words.</summary>
    public static string Words(this GuestKind kind) => Kinds.Display(kind);

    /// <summary>A family in words.</summary>
    public static string Words(this Family family) => Families.Display(family);
}
