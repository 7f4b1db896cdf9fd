using Yuntak.Core.Base;
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
/// <param name="Health">What it says of its own health; null when nobody asked it.</param>
/// <param name="Holds">What is on it now: file systems and the like, as the tools name them.</param>
/// <param name="Controller">The PCI function it hangs on, when that was read.</param>
/// <param name="Sector">The size of a physical sector in bytes, when that was read.</param>
/// <param name="MayBeWiped">The day somebody said that what is on it may go; null while nobody has.</param>
public sealed record Disk(
    string Id,
    string Name,
    ByteSize Size,
    DiskKind Kind,
    ValueList<string> MountedAt = default,
    string? Model = null,
    double? HoursRun = null,
    bool Removable = false,
    DiskHealth? Health = null,
    ValueList<string> Holds = default,
    string? Controller = null,
    int? Sector = null,
    DateOnly? MayBeWiped = null
)
{
    /// <summary>Hours powered on past which a disk is old: five years of 8,760 hours; common practice.</summary>
    public const double OldHours = 43_800;

    /// <summary>Whether the host starts from it.</summary>
    public bool IsBoot => MountedAt.Any(m => m is "/" or "/boot" or "/boot/efi" or "/efi");

    /// <summary>Whether anything was on it when it was read or said: a file system, a pool's member, something mounted.</summary>
    public bool HoldsSomething => Holds.Count > 0 || MountedAt.Count > 0;

    /// <summary>What is on it, for those who are about to wipe it.</summary>
    public string Contents =>
        MountedAt.Count > 0 ? "mounted at " + string.Join(", ", MountedAt)
        : Holds.Count > 0 ? "holds " + string.Join(", ", Holds)
        : "nothing mounted when it was read";

    /// <summary>Whether its id was made up when it was typed in by hand, and no stable one has been read yet.</summary>
    public bool HasMadeUpId =>
        Name.StartsWith("disk ", StringComparison.Ordinal) && Id.EndsWith("-" + Name.Replace(' ', '-'), StringComparison.Ordinal);

    /// <summary>Whether it is flash with its own port, good for guest disks.</summary>
    public bool IsFlash => Kind is DiskKind.SataFlash or DiskKind.NvmeFlash;
}
