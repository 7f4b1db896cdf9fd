using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Kit;

/// <summary>Finds the host of a lab that a reading was taken on.</summary>
public static class HostMatch
{
    /// <summary>
    /// The host that shares the most stable disk ids and hardware addresses with what was read; without any, the one of the name the reading gives.
    /// Null when it is none of them.
    /// </summary>
    public static Host? Find(Lab lab, HostReading reading)
    {
        var best = lab
            .Hosts.Select(h => (Host: h, Shared: Shared(h, reading)))
            .OrderByDescending(m => m.Shared)
            .FirstOrDefault(m => m.Shared > 0)
            .Host;
        return best ?? (reading.HostName is { } name ? lab.Hosts.FirstOrDefault(h => Names.Slug(h.Name) == Names.Slug(name)) : null);
    }

    private static int Shared(Host host, HostReading reading) =>
        // An id that is only the kernel's name is the same on every host.
        host.Disks.Count(d => d.Id != d.Name && reading.Disks.Any(r => r.Id == d.Id && r.Id != r.Name))
        + host.Hardware.Ports.Count(p => p.Mac is not null && reading.Hardware.Ports.Any(r => r.Mac == p.Mac));
}
