using Yuntak.Core.Base;

namespace Yuntak.Formats.Intake;

/// <summary>A row of <c>lsblk</c>: a disk, or what lies on one or more.</summary>
/// <param name="Name">The kernel's name, or that of the mapping.</param>
/// <param name="Path">Its device node; null when that was not listed.</param>
/// <param name="Type">What it is: «disk», «part», «raid6», «lvm», «crypt».</param>
/// <param name="FileSystem">The format on it.</param>
/// <param name="Label">The label of that format.</param>
/// <param name="Uuid">The UUID of that format.</param>
/// <param name="Disks">The names of the disks it lies on.</param>
/// <param name="Parents">The names of all it lies on.</param>
internal sealed record BlockDevice(
    string Name,
    string? Path,
    string? Type,
    string? FileSystem,
    string? Label,
    string? Uuid,
    ValueList<string> Disks,
    ValueList<string> Parents
)
{
    /// <summary>The volume group of a logical volume: its mapping is called «group-volume», with a hyphen in either name written twice.</summary>
    public string? Group => Type == "lvm" ? Name.Replace("--", "\0").Split('-')[0].Replace('\0', '-') : null;
}
