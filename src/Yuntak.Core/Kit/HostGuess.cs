using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Kit;

/// <summary>Which kind of host a reading looks like. A guess to begin with: whoever takes the host on says so.</summary>
public static class HostGuess
{
    /// <summary>The kind: a board by its family and the card it starts from, a stick-run store by a stick that only holds its boot files, a plain server by containers that run and no machines.</summary>
    public static HostType Of(HostReading reading)
    {
        var boots = reading.Disks.Where(d => d.IsBoot).ToList();
        var isArm =
            reading.Processor?.Architecture is { } family && (family == "aarch64" || family.StartsWith("arm", StringComparison.Ordinal));
        if (isArm && boots.All(d => d.Kind is DiskKind.Card or DiskKind.Usb))
        {
            return HostType.Board;
        }

        if (boots.Count == 1 && boots[0].Kind == DiskKind.Usb && !boots[0].MountedAt.Contains("/"))
        {
            return HostType.StickStore;
        }

        var runs = reading.Hardware.Runs.Select(r => r.Kind).ToHashSet();
        return runs.Contains(GuestKind.AppStack) && !runs.Contains(GuestKind.Machine) && !runs.Contains(GuestKind.SystemContainer)
            ? HostType.Server
            : HostType.Hypervisor;
    }
}
