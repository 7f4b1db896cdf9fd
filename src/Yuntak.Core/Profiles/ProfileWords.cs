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

    /// <summary>What sorts of devices guests need.</summary>
    public static readonly WordTable<DeviceNeed> Needs = new(
        (DeviceNeed.RadioStick, "radio-stick", "radio stick"),
        (DeviceNeed.VideoEncoder, "video-encoder", "video encoder"),
        (DeviceNeed.AiAccelerator, "ai-accelerator", "AI accelerator"),
        (DeviceNeed.DiskController, "disk-controller", "disk controller"),
        (DeviceNeed.NetworkPort, "network-port", "network port"),
        (DeviceNeed.SerialAdapter, "serial-adapter", "serial adapter"),
        (DeviceNeed.Sound, "sound", "sound"),
        (DeviceNeed.Other, "other", "other device")
    );

    /// <summary>A kind of guest in words.</summary>
    public static string Words(this GuestKind kind) => Kinds.Display(kind);

    /// <summary>A family in words.</summary>
    public static string Words(this Family family) => Families.Display(family);

    /// <summary>A sort of device in words.</summary>
    public static string Words(this DeviceNeed need) => Needs.Display(need);
}
