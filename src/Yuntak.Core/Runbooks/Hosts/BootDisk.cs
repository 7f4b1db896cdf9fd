using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Runbooks;

/// <summary>The disk a host starts from.</summary>
internal static class BootDisk
{
    /// <summary>The disk it starts from; for a host that is bare yet, the smallest flash disk that belongs to no pool.</summary>
    public static Disk? Of(Host host) =>
        host.BootDisks.FirstOrDefault()
        ?? host.DisksInNoPool.Where(d => d.Kind != DiskKind.Usb).OrderBy(d => !d.IsFlash).ThenBy(d => d.Size).FirstOrDefault();

    /// <summary>How it is seen, its size and its stable id.</summary>
    public static string Named(Plan plan, HostId host, string? id) =>
        id is not null && plan.Disk(host, id) is { } boot ? $"{boot.Name}, {boot.Size.ToDecimalString()}, {boot.Id}" : "the boot disk";
}
