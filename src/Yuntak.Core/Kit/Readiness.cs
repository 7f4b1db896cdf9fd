using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Kit;

/// <summary>What a host is ready for: the list that is gone through before anything is built.</summary>
internal static class Readiness
{
    /// <summary>The line about the firmware's age.</summary>
    public const string FirmwareDate = "firmware-date";

    /// <summary>The line about network ports; ticked it says that a router has a second leg.</summary>
    public const string NetworkPorts = "network-ports";

    /// <summary>The lines, in the order in which they are gone through.</summary>
    public static readonly IReadOnlyList<ReadinessItem> Items =
    [
        new(
            "virtualisation",
            "Is virtualisation on?",
            "In the firmware, on the processor, advanced or security page: a line with «virtualisation», «virtual machine» or «VM» in it. Enable it, save, and switch the host off and on once.",
            "Without it machines do not start. Containers do.",
            ["kit.virtualisation-off"],
            h => h.Processor.Virtualisation.OnOff(),
            (h, yes) => h with { Processor = h.Processor with { Virtualisation = yes } },
            LeftOut: [HostType.Board]
        ),
        new(
            "isolation",
            "Is I/O isolation on?",
            "In the firmware, on the chipset or advanced page: «I/O memory management», «directed I/O» or «DMA remapping». Enable it; some systems also want it named on the kernel's command line.",
            "Only then can a card or a USB controller be handed to a machine whole, without reaching the rest of the host's memory.",
            ["kit.isolation-off"],
            h => h.Hardware.Isolation.OnOff(),
            (h, yes) => h.With(h.Hardware with { Isolation = yes }),
            LeftOut: [HostType.Board, HostType.StoreBox]
        ),
        new(
            "power-cut",
            "Does it start by itself after a power cut?",
            "In the firmware, on the power page: «after power loss» or «restore power». Choose «power on», not «last state» and not «stay off».",
            "Otherwise the house stays dark until somebody presses the button.",
            ["kit.stays-off"],
            h => h.PowersOn.YesNo(),
            (h, yes) => h with { PowersOn = yes },
            LeftOut: [HostType.Board]
        ),
        new(
            FirmwareDate,
            "Is the firmware recent?",
            "On the first page of the firmware: its date and version. Compare with the newest one on the board maker's page; read what it mends before you install it, and never cut the power meanwhile.",
            "Old firmware keeps old faults: devices that cannot be reset, isolation groups that are too large, holes that are known.",
            ["kit.firmware-old"],
            h =>
                h.Hardware.Firmware?.Date is { } date
                    ? $"of {date:O}" + (h.Hardware.Firmware.Version is { } v ? $", version {v}" : "")
                    : null,
            LeftOut: [HostType.Board, HostType.StoreBox]
        ),
        new(
            "boot-medium",
            "Does it start from a real disk?",
            "In the firmware, on the boot page: the boot disk first, sticks and network after it.",
            "Sticks and cards wear out from small writes and fail without notice.",
            ["kit.boot-from-stick"],
            h => h.BootDisks.FirstOrDefault() is { } boot ? $"{boot.Name}, {boot.Size.ToDecimalString()} {boot.Kind.Words()}" : null,
            LeftOut: [HostType.Board, HostType.StoreBox, HostType.StickStore]
        ),
        new(
            "boot-disk",
            "Is the boot disk the host's alone?",
            "Not in the firmware: on the Bench, no guest keeps its volumes on a pool of the boot disk.",
            "Installing the host anew wipes its boot disk, and the guests with it.",
            ["kit.guests-on-boot-disk"],
            h =>
                !h.BootDisks.Any() ? null
                : h.Pools.Any(p => h.DisksOf(p).Any(h.StartsFrom)) ? "a pool is on it"
                : "no pool is on it",
            LeftOut: [HostType.StoreBox, HostType.StickStore]
        ),
        new(
            "disk-health",
            "Are the disks sound?",
            "Ask each disk, as root: smartctl -a and its device. Look for reallocated and pending sectors, for wear, and for the words of its own test.",
            "A disk that has begun to replace sectors often goes on doing so.",
            ["kit.disk-failing", "kit.disk-sectors", "kit.disk-worn", "kit.pool-lost", "kit.pool-degraded"],
            h => h.Disks.Any(d => d.Health is not null) ? $"{h.Disks.Count(d => d.Health is not null)} of {h.Disks.Count} asked" : null
        ),
        new(
            "disk-age",
            "Are the disks younger than five years?",
            "The hours powered on, in the same answer of each disk; five years are 43,800 hours.",
            "Disks fail about twice as often from the sixth year on.",
            ["kit.old-disk"],
            h => h.Disks.Max(d => d.HoursRun) is { } hours ? $"the oldest has run for {hours:#,##0} hours" : null
        ),
        new(
            NetworkPorts,
            "Has it network ports enough?",
            "At the back. A router needs two legs: a port for the internet and one for the house, one port with tagged networks, or a private bridge for trying things. Tick the line if it has one of these that was not read.",
            "With one leg the internet and the house are the same wire.",
            ["kit.router-one-port"],
            h => h.NetworkPorts is { } ports ? $"{ports}" : null
        ),
        new(
            "address",
            "Does its address stay the same?",
            "Where addresses are handed out, usually the router: reserve one for this host by its hardware address. Or set it in the host itself.",
            "Links, apps and brokers point to it.",
            ["kit.address-changes"],
            h => h.AddressFixed.YesNo(),
            (h, yes) => h with { AddressFixed = yes }
        ),
        new(
            "battery-backup",
            "Is a battery backup linked to it?",
            "A cable from the battery backup to a USB port of this host, and a daemon that shuts the host down before the battery is empty. Leave the inside of batteries to the maker or a licensed person.",
            "Without the link the battery only delays the dirty stop.",
            ["kit.no-battery-backup"],
            h => h.BatteryBackup.YesNo(),
            (h, yes) => h with { BatteryBackup = yes }
        ),
        new(
            "stick-copy",
            "Is there a copy of its stick?",
            "The whole stick copied onto another of the same size, in a drawer, with the licence or key that is bound to it written down beside it.",
            "The system lives on the stick alone. Without it nothing starts, and the array waits.",
            [],
            _ => null,
            LeftOut: [HostType.Hypervisor, HostType.Server, HostType.StoreBox, HostType.Board]
        ),
        new(
            "array-first",
            "Does the array start before the guests?",
            "On the store's own page: the array starts with the host, and guests only once it is there.",
            "Guests that start without their disks write beside them, or not at all.",
            [],
            _ => null,
            LeftOut: [HostType.Hypervisor, HostType.Server, HostType.StoreBox, HostType.Board]
        ),
        new(
            "cooling",
            "Is it cooled?",
            "A heat sink or fan on it, and under 70 °C after ten minutes of work. Do this before any overclocking.",
            "A hot board slows itself down, and cards fail sooner.",
            [],
            h => h.Hardware.Temperatures.Count > 0 ? $"{h.Hardware.Temperatures.Max(t => t.Celsius):0} °C when it was read" : null,
            LeftOut: [HostType.Hypervisor, HostType.Server, HostType.StoreBox, HostType.StickStore]
        ),
    ];

    /// <summary>The line of that name, if there is one.</summary>
    public static ReadinessItem? Find(string id) => Items.FirstOrDefault(i => i.Id == id);
}
