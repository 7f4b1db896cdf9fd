using Yuntak.Core.Labs;

namespace Yuntak.Core.Kit;

/// <summary>What a host itself needs of a card: handed over, the host would lose its disks, its way in, or the word of its battery backup. In doubt it needs it.</summary>
internal static class HostNeeds
{
    /// <summary>Why the host cannot do without a function, in words; null when nothing read says that it needs it.</summary>
    /// <param name="host">The host.</param>
    /// <param name="address">The function's address.</param>
    public static string? Of(Host host, string address)
    {
        if (DiskOn(host, d => d.Controller == address) is { } disk)
        {
            return disk;
        }

        if (host.Hardware.Ports.Any(p => p.Function == address && p.Management))
        {
            return "the host is looked after through it";
        }

        return host.Hardware.UsbDevices.Any(d => d.BatteryLink && host.Hardware.ControllerOf(d.Port) == address)
            ? "the battery backup is linked to it"
            : Doubt(host, address);
    }

    /// <summary>Why the host may need what is plugged into a USB port; null when it does not.</summary>
    /// <param name="host">The host.</param>
    /// <param name="device">What is plugged in.</param>
    /// <param name="saysWhatItIs">Whether it is surely neither a disk nor a network adapter.</param>
    public static string? OfUsb(Host host, UsbDevice device, bool saysWhatItIs)
    {
        if (device.BatteryLink)
        {
            return "the battery backup is linked to the host through it";
        }

        if (saysWhatItIs)
        {
            return null;
        }

        var controller = host.Hardware.ControllerOf(device.Port);
        var need = DiskOn(host, d => d.Kind == DiskKind.Usb && (d.Controller is null || d.Controller == controller));
        return need is not null ? $"it may be the disk in question: {need}"
            : host.Hardware.Ports.Any(p => p.Management && p.Function is not null && p.Function == controller)
                ? "it may be the network adapter the host is looked after through"
            : null;
    }

    private static string? DiskOn(Host host, Func<Disk, bool> there)
    {
        if (host.BootDisks.FirstOrDefault(there) is { } boot)
        {
            return $"the host starts from {boot.Name} on it";
        }

        if (host.Pools.FirstOrDefault(p => host.DisksOf(p).Any(there)) is { } pool)
        {
            return $"disks of pool {pool.Name} hang on it";
        }

        return host.Disks.FirstOrDefault(d => there(d) && d.MountedAt.Count > 0) is { } mounted
            ? $"{mounted.Name} on it is {mounted.Contents}"
            : null;
    }

    /// <summary>What was not read may be what matters: the controller of a disk that is needed, the only port there is a way in through.</summary>
    private static string? Doubt(Host host, string address)
    {
        if (host.Hardware.Function(address) is not { } function)
        {
            return null;
        }

        if (function.ClassCode.StartsWith("01", StringComparison.Ordinal))
        {
            var needed = host
                .BootDisks.Concat(host.Pools.SelectMany(host.DisksOf))
                .FirstOrDefault(d => d.Controller is null && MayHangOn(d, function));
            return needed is null ? null : $"which controller {needed.Name} hangs on was not read, and the host needs that disk";
        }

        return
            function.ClassCode.StartsWith("02", StringComparison.Ordinal)
            && host.Hardware.Functions.Count(f => f.ClassCode.StartsWith("02", StringComparison.Ordinal)) == 1
            && !host.Hardware.Ports.Any(p => p.Management && p.Function is not null)
            ? "it is the only network card, and the host is looked after through one"
            : null;
    }

    /// <summary>Whether a disk of a kind can hang on a controller of a class: flash on the PCI bus has a controller of its own (class 0108).</summary>
    private static bool MayHangOn(Disk disk, PciFunction controller) =>
        disk.Kind switch
        {
            DiskKind.NvmeFlash => controller.ClassCode == "0108",
            DiskKind.Spinning or DiskKind.SataFlash or DiskKind.Virtual => controller.ClassCode != "0108",
            DiskKind.Usb or DiskKind.Card => false,
        };
}
