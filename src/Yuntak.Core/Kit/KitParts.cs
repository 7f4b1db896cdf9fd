using Yuntak.Core.Labs;

namespace Yuntak.Core.Kit;

/// <summary>The parts a host is read in, and the tool that says each.</summary>
public static class KitParts
{
    /// <summary>Sockets, cores, threads, architecture, virtualisation.</summary>
    public const string Processor = "processor";

    /// <summary>Total memory.</summary>
    public const string Memory = "memory";

    /// <summary>Memory modules and free places.</summary>
    public const string Slots = "memory slots";

    /// <summary>Disks and what lies on them.</summary>
    public const string Disks = "disks";

    /// <summary>Functions on the PCI bus.</summary>
    public const string Cards = "cards";

    /// <summary>Isolation groups.</summary>
    public const string Isolation = "isolation";

    /// <summary>Ways to reset a function.</summary>
    public const string Reset = "reset";

    /// <summary>USB controllers, ports and devices.</summary>
    public const string Usb = "USB";

    /// <summary>Network ports, addresses, bridges.</summary>
    public const string Network = "network";

    /// <summary>Disk health.</summary>
    public const string Health = "health";

    /// <summary>Temperatures.</summary>
    public const string Heat = "heat";

    /// <summary>Measured disk speeds.</summary>
    public const string DiskSpeed = "disk speed";

    /// <summary>Measured link speeds.</summary>
    public const string LinkSpeed = "link speed";

    /// <summary>What the battery backup says.</summary>
    public const string Battery = "battery backup";

    /// <summary>The firmware.</summary>
    public const string Firmware = "firmware";

    /// <summary>The kernel's own virtualisation device.</summary>
    public const string Virtualisation = "virtualisation";

    /// <summary>What is mounted where.</summary>
    public const string Mounts = "mounts";

    /// <summary>Arrays that stand.</summary>
    public const string Arrays = "arrays";

    /// <summary>Addresses and ports that are taken.</summary>
    public const string Listeners = "listeners";

    /// <summary>What runs in control groups.</summary>
    public const string Runs = "what runs";

    /// <summary>The speed of a core.</summary>
    public const string CoreSpeed = "core speed";

    /// <summary>What was not understood.</summary>
    public const string Other = "other";

    private static readonly Dictionary<string, string> Tools = new(StringComparer.Ordinal)
    {
        [Processor] = "lscpu",
        [Memory] = "/proc/meminfo",
        [Slots] = "dmidecode",
        [Disks] = "lsblk",
        [Cards] = "lspci",
        [Isolation] = "/sys/kernel/iommu_groups",
        [Reset] = "/sys/bus/pci/devices",
        [Usb] = "lsusb and /sys/bus/usb",
        [Network] = "ip and /sys/class/net",
        [Health] = "smartctl",
        [Heat] = "sensors",
        [DiskSpeed] = "fio",
        [LinkSpeed] = "iperf3",
        [Battery] = "the battery backup's daemon",
        [Firmware] = "/sys/class/dmi",
        [Mounts] = "findmnt",
        [Arrays] = "/proc/mdstat, pvs, vgs and lvs",
        [Listeners] = "ss",
        [Runs] = "/sys/fs/cgroup",
        [CoreSpeed] = "collect.sh --speed",
        [Virtualisation] = "/sys/dev/char/10:232",
    };

    /// <summary>All parts, in the order of the script.</summary>
    public static IReadOnlyCollection<string> All => Tools.Keys;

    /// <summary>The tool that says a part.</summary>
    public static string ToolOf(string part) => Tools.GetValueOrDefault(part, part);
}
