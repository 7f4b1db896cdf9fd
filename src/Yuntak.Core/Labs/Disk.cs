using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>A disk in a host.</summary>
/// <param name="Id">The stable id: world-wide name, or model and serial number; the kernel name only when nothing better was read.</param>
/// <param name="Name">What the kernel called it when it was read, for finding it again by eye.</param>
/// <param name="Size">As the disk reports it.</param>
/// <param name="Kind">What it is made of.</param>
/// <param name="MountedAt">Where it, or anything on it, is mounted.</param>
/// <param name="Model">What is printed on it.</param>
/// <param name="HoursRun">Hours powered on, when known.</param>
/// <param name="Removable">Whether it is meant to be pulled out.</param>
public sealed record Disk(
    string Id,
    string Name,
    ByteSize Size,
    DiskKind Kind,
    ValueList<string> MountedAt = default,
    string? Model = null,
    double? HoursRun = null,
    bool Removable = false
)
{
    /// <summary>Whether the host starts from it.</summary>
    public bool IsBoot => MountedAt.Any(m => m is "/" or "/boot" or "/boot/efi" or "/efi");

    /// <summary>Whether it is flash with its own port, good for guest disks.</summary>
    public bool IsFlash => Kind is DiskKind.SataFlash or DiskKind.NvmeFlash;
}
