using Yuntak.Core.Labs;

namespace Yuntak.Core.Kit;

/// <summary>What a host itself needs of a card: handed over, the host would lose its disks, its way in, or the word of its battery backup.</summary>
internal static class HostNeeds
{
    /// <summary>Why the host cannot do without a function, in words; null when nothing read says that it needs it.</summary>
    /// <param name="host">The host.</param>
    /// <param name="address">The function's address.</param>
    public static string? Of(Host host, string address)
    {
        var boot = host.BootDisks.FirstOrDefault(d => d.Controller == address);
        if (boot is not null)
        {
            return $"the host starts from {boot.Name} on it";
        }

        var pool = host.Pools.FirstOrDefault(p => host.DisksOf(p).Any(d => d.Controller == address));
        if (pool is not null)
        {
            return $"disks of pool {pool.Name} hang on it";
        }

        if (host.Disks.FirstOrDefault(d => d.Controller == address && d.MountedAt.Count > 0) is { } mounted)
        {
            return $"{mounted.Name} on it is {mounted.Contents}";
        }

        if (host.Hardware.Ports.Any(p => p.Function == address && p.Management))
        {
            return "the host is looked after through it";
        }

        return host.Hardware.UsbDevices.Any(d => d.BatteryLink && host.Hardware.ControllerOf(d.Port) == address)
            ? "the battery backup is linked to it"
            : null;
    }
}
