using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Kit;

/// <summary>What one disk said of its health, before it is known which disk of the host it is.</summary>
/// <param name="Device">The kernel's name: «sda», «nvme0».</param>
/// <param name="Ids">The stable ids it may be known by.</param>
/// <param name="Health">Its health.</param>
/// <param name="HoursRun">Hours powered on.</param>
public sealed record HealthReading(string Device, ValueList<string> Ids, DiskHealth Health, double? HoursRun)
{
    /// <summary>Whether it speaks of this disk: by stable id; by the kernel's name only where the disk has no id of its own or this reading names none.</summary>
    public bool IsOf(Disk disk) =>
        Ids.Contains(disk.Id) || ((Ids.Count == 0 || disk.Id == disk.Name || Ids.All(i => !SameSort(i, disk.Id))) && IsCalled(disk.Name));

    private bool IsCalled(string name) => name == Device || (Device.StartsWith("nvme", StringComparison.Ordinal) && NameSpaceOf(name));

    /// <summary>«nvme0n1» is the first name space of the controller «nvme0».</summary>
    private bool NameSpaceOf(string name) =>
        name.StartsWith(Device + "n", StringComparison.Ordinal) && !Device["nvme".Length..].Contains('n');

    /// <summary>Whether two ids are of one sort, so that a difference between them means two disks.</summary>
    private static bool SameSort(string a, string b) => a.Split('-', '.')[0] == b.Split('-', '.')[0];
}
