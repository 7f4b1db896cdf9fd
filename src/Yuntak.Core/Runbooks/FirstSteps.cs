using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>The first steps of a host: from the firmware to a copy of its own settings. Durations are common practice.</summary>
internal static class FirstSteps
{
    /// <summary>The steps, in order, with the values of this host.</summary>
    public static IEnumerable<StepDraft> Of(Host host)
    {
        yield return Firmware(host);
        yield return Medium();
        yield return Install(host);
        yield return MediumOut(host);
        yield return Address(host);
        yield return Updates();
        yield return Tools(host);
        yield return Alerts(host);
        if (host.BatteryBackup == true)
        {
            yield return BatteryLink(host);
        }

        yield return Settings(host);
    }

    private static StepDraft Firmware(Host host)
    {
        List<StepValue> values = [];
        if (host.Hardware.Firmware is { Date: { } date } firmware)
        {
            values.Add(
                new(
                    "firmware now",
                    $"{date:O}{(firmware.Version is null ? "" : $", version {firmware.Version}")}; bring it up to date first"
                )
            );
        }
        else
        {
            values.Add(new("firmware", "bring it up to date first"));
        }

        values.AddRange([
            new("virtualisation", "on"),
            new("I/O isolation", "on"),
            new("after a power cut", "power on"),
            new("boot from", Named(host)),
        ]);
        return new(
            LifeStage.Planned,
            "Set the firmware up",
            [.. values],
            20,
            "lscpu shows a line that begins with «Virtualization», and /sys/kernel/iommu_groups is not empty, once something runs on it.",
            "Some firmware hides the switches on the processor, chipset or security page. The readiness list of the host says what to look for.",
            "Load the firmware's defaults.",
            "Unplug the mains before you open the case. Two people for a rack or a tower on a shelf. Never cut the power while firmware is installed. Wiring and batteries are for licensed people; local codes apply."
        );
    }

    private static StepDraft Medium() =>
        new(
            LifeStage.Planned,
            "Write the install medium",
            [
                new("image", "the hypervisor or system you have chosen, for the processor family of this host"),
                new("check before writing", "sha256sum IMAGE, compared with the sum its makers publish"),
                new("write", "dd if=IMAGE of=/dev/disk/by-id/THE-STICK bs=4M conv=fsync status=progress", Literal: true),
            ],
            15,
            "The sum is the same, and the stick starts.",
            "The sum differs? Fetch the image again. Does not start? Look at the boot page of the firmware.",
            "None needed; keep the stick.",
            "This wipes the stick: name it by its stable id under /dev/disk/by-id, never by a letter that may have moved."
        );

    private static StepDraft Install(Host host)
    {
        var boot = Boot(host);
        var others = host.Disks.Where(d => d.Id != boot?.Id && d.Kind is not (DiskKind.Usb or DiskKind.Card)).ToList();
        return new(
            LifeStage.Planned,
            boot is null ? "Install onto the boot disk" : $"Install onto {boot.Id}",
            [
                new("name", Names.Slug(host.Name), Literal: true),
                new(
                    "install onto",
                    boot is null
                        ? "the disk kept for the host; add it to the kit to see it here by its stable id"
                        : $"{boot.Id} ({boot.Size.ToDecimalString()}, seen as {boot.Name})",
                    Literal: boot is not null
                ),
                .. others.Select(d => new StepValue(
                    "leave alone",
                    $"{d.Id} ({d.Size.ToDecimalString()}, seen as {d.Name})",
                    Literal: true
                )),
                new("passwords", "your own, kept in two places; no default account stays on"),
            ],
            30,
            boot is null ? "The host starts from its disk." : $"lsblk -o NAME,SIZE,MOUNTPOINTS,WWN shows / on {boot.Id}.",
            "The installer shows no such disk? Look at its controller's mode in the firmware. Two of one size? Compare the serial numbers, unplug the others if in doubt.",
            "Install again; nothing is on it yet.",
            boot is null
                ? "Installing wipes the disk it goes onto. Choose it by model and serial number, not by its letter."
                : $"This wipes 1 disk: {boot.Id}, {boot.Size.ToDecimalString()}, {boot.Contents}."
        );
    }

    private static StepDraft MediumOut(Host host) =>
        new(
            LifeStage.Planned,
            "Take the install medium out and restart",
            [new("first in the boot order", Named(host)), new("install medium", "unplugged, and not in the boot order")],
            5,
            "It comes up by itself, without keyboard or picture, within a few minutes.",
            "The installer again? The medium is still plugged in or still first.",
            "Plug the medium in and install again."
        );

    private static StepDraft Address(Host host)
    {
        var port = host.Hardware.Ports.FirstOrDefault(p => p.Management) ?? (host.Hardware.Ports.Count > 0 ? host.Hardware.Ports[0] : null);
        return new(
            LifeStage.Planned,
            "Give it a fixed address",
            [
                new("name", Names.Slug(host.Name), Literal: true),
                .. port?.Mac is { } mac
                    ? [new StepValue("hardware address", $"{mac} ({port.Name})", Literal: true)]
                    : Array.Empty<StepValue>(),
                new("address", "reserved by hardware address, outside the range handed out"),
            ],
            10,
            "It has the same address after a restart.",
            "Two reservations for one address? Look at the list where addresses are handed out.",
            "Back to a changing address."
        );
    }

    private static StepDraft Updates() =>
        new(
            LifeStage.Planned,
            "Set the source of updates, update, restart",
            [
                new("source", "the one that is free to you and gets security updates"),
                new("not", "test or unstable sources on a host that others rely on"),
            ],
            20,
            "A second run of the update finds nothing, and the host is back after the restart.",
            "A source that wants a subscription refuses: switch it off and use the open one.",
            "Start the kernel before from the boot menu."
        );

    private static StepDraft Tools(Host host) =>
        new(
            LifeStage.Planned,
            "Install the tools and read the host",
            [
                new("tools", "pciutils usbutils smartmontools lm-sensors dmidecode", Literal: true),
                new("read it", $"sudo sh collect.sh > {Names.Slug(host.Name)}.txt", Literal: true),
            ],
            10,
            "Given to Kit, the text shows what is planned here, and nothing that went.",
            "A part says «not run»? Install its tool, or run the script as root.",
            "None needed."
        );

    private static StepDraft Alerts(Host host) =>
        new(
            LifeStage.Planned,
            "Say where alerts go",
            [
                new("to", "an address you read every day, not one that this host serves"),
                new("subject", $"test from {Names.Slug(host.Name)}"),
            ],
            10,
            "A test message arrives.",
            "Nothing comes? Look in the spam folder, then in the queue of outgoing mail.",
            "Take the address out again."
        );

    private static StepDraft BatteryLink(Host host) =>
        new(
            LifeStage.Planned,
            "Link the battery backup",
            [
                new(
                    "cable",
                    host.Hardware.UsbDevices.FirstOrDefault(d => d.BatteryLink) is { } link
                        ? $"USB port {link.Port}"
                        : "from the battery backup to a USB port of this host"
                ),
                new("shut down", "when half of the running time is left"),
            ],
            15,
            "The daemon shows charge, load and running time; with the mains plug of the battery backup pulled for ten seconds it says so.",
            "It sees nothing? Another port, then the daemon's driver.",
            "Unplug the cable; the battery then only delays a dirty stop.",
            "Leave the inside of batteries to the maker or a licensed person."
        );

    private static StepDraft Settings(Host host) =>
        new(
            LifeStage.Planned,
            "Keep a copy of its own settings",
            [
                new("take along", $"/etc /root of {Names.Slug(host.Name)}, and the list of its packages"),
                new("to", "another host, and one place off the premises"),
            ],
            10,
            "The copy opens, and holds the network settings.",
            "No room? It is a few MB; something else came along.",
            "None needed."
        );

    /// <summary>The disk it starts from; for a host that is bare yet, the smallest flash disk that belongs to no pool.</summary>
    private static Disk? Boot(Host host) =>
        host.Disks.FirstOrDefault(d => d.IsBoot)
        ?? host.DisksInNoPool.Where(d => d.Kind != DiskKind.Usb).OrderBy(d => !d.IsFlash).ThenBy(d => d.Size).FirstOrDefault();

    private static string Named(Host host) =>
        Boot(host) is { } boot ? $"{boot.Name}, {boot.Size.ToDecimalString()}, {boot.Id}" : "the boot disk";
}
