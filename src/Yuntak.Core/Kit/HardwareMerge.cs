using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit;

/// <summary>Joins what is known inside a host with what was read now. Parts that were not read stay; within a part, what was not said stays.</summary>
internal static class HardwareMerge
{
    public static Hardware Of(Hardware before, HostReading reading)
    {
        var now = reading.Hardware;
        return new Hardware(
            reading.Has(KitParts.Slots) ? now.MemorySlots : before.MemorySlots,
            Functions(before, reading),
            reading.Has(KitParts.Usb) && now.UsbBuses.Count > 0 ? [.. now.UsbBuses.Select(b => Bus(before, b))] : before.UsbBuses,
            reading.Has(KitParts.Usb) ? [.. now.UsbDevices.Select(d => Device(before, d))] : before.UsbDevices,
            reading.Has(KitParts.Network) ? Ports(before, now) : before.Ports,
            reading.Has(KitParts.Network) ? now.Bridges : before.Bridges,
            reading.Has(KitParts.Heat) ? now.Temperatures : before.Temperatures,
            reading.Has(KitParts.DiskSpeed) ? now.DiskSpeeds : before.DiskSpeeds,
            reading.Has(KitParts.LinkSpeed) ? now.LinkSpeeds : before.LinkSpeeds,
            now.Battery ?? before.Battery,
            now.Firmware is { } firmware
                ? new Firmware(
                    firmware.Date ?? before.Firmware?.Date,
                    firmware.Version ?? before.Firmware?.Version,
                    firmware.Board ?? before.Firmware?.Board
                )
                : before.Firmware,
            now.Isolation ?? before.Isolation,
            reading.Has(KitParts.Mounts) ? now.Mounts : before.Mounts,
            reading.Has(KitParts.Mounts) || reading.Has(KitParts.Arrays) ? now.Found : before.Found,
            reading.Has(KitParts.Listeners) ? now.Listeners : before.Listeners,
            reading.Has(KitParts.Runs) ? now.Runs : before.Runs,
            now.GroupsSplit ?? before.GroupsSplit
        );
    }

    /// <summary>Listing the cards tells which are there; groups and resets alone only add to what is known.</summary>
    private static ValueList<PciFunction> Functions(Hardware before, HostReading reading)
    {
        var now = reading.Hardware;
        if (reading.Has(KitParts.Cards))
        {
            return [.. now.Functions.Select(f => Function(before.Function(f.Address), f))];
        }

        var known = before.Functions.Change(f => now.Function(f.Address) is not null, f => Function(f, now.Function(f.Address)!));
        return [.. known, .. now.Functions.Where(f => before.Function(f.Address) is null)];
    }

    private static PciFunction Function(PciFunction? before, PciFunction now) =>
        before is null || (now.ClassCode.Length > 0 && before.ClassCode.Length > 0 && now.ClassCode != before.ClassCode)
            ? now
            : now with
            {
                ClassCode = now.ClassCode.Length > 0 ? now.ClassCode : before.ClassCode,
                Name = now.Name ?? before.Name,
                Ids = now.Ids ?? before.Ids,
                Group = now.Group ?? before.Group,
                Driver = now.Driver ?? (now.ClassCode.Length > 0 ? null : before.Driver),
                Reset = now.Reset ?? before.Reset,
                Slot = now.Slot ?? before.Slot,
                ConsoleGraphics = now.ConsoleGraphics || before.ConsoleGraphics,
                EncodeMegapixels = now.EncodeMegapixels ?? before.EncodeMegapixels,
                Slices = now.Slices ?? before.Slices,
            };

    private static UsbBus Bus(Hardware before, UsbBus now)
    {
        var was = before.UsbBuses.FirstOrDefault(b => b.Number == now.Number);
        return now with
        {
            Controller = now.Controller ?? was?.Controller,
            Ports = now.Ports ?? was?.Ports,
            SpeedMbps = now.SpeedMbps ?? was?.SpeedMbps,
        };
    }

    private static UsbDevice Device(Hardware before, UsbDevice now)
    {
        var was = before.UsbDevices.FirstOrDefault(d => d.Port == now.Port && (d.Id == now.Id || now.Id is null));
        return was is null
            ? now
            : now with
            {
                Id = now.Id ?? was.Id,
                Name = now.Name ?? was.Name,
                Hub = now.Hub || was.Hub,
                BatteryLink = now.BatteryLink || was.BatteryLink,
            };
    }

    /// <summary>Speeds alone, read from their files, add to the ports that are known and do not replace them.</summary>
    private static ValueList<NetworkPort> Ports(Hardware before, Hardware now)
    {
        var only = now.Ports.All(p => p.Mac is null);
        var read = now.Ports.Select(p => Port(before.Ports.FirstOrDefault(b => b.Name == p.Name), p));
        return only ? [.. before.Ports.Where(b => now.Ports.All(p => p.Name != b.Name)), .. read] : [.. read];
    }

    private static NetworkPort Port(NetworkPort? before, NetworkPort now) =>
        before is null
            ? now
            : now with
            {
                Mac = now.Mac ?? before.Mac,
                SpeedMbps = now.SpeedMbps ?? (now.Up == false ? null : before.SpeedMbps),
                Up = now.Up ?? before.Up,
                Function = now.Function ?? before.Function,
                Addresses = now.Mac is null ? before.Addresses : now.Addresses,
                Wireless = now.Wireless || before.Wireless,
                Management = now.Management || before.Management,
            };
}
