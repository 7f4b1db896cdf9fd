using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Devices;

/// <summary>What each way asks of the host and the guest, and what goes along: the table of the chapter, for one guest. What others have is looked at elsewhere.</summary>
/// <param name="lab">The lab.</param>
/// <param name="map">The map of the host.</param>
/// <param name="guest">The guest.</param>
/// <param name="memory">The memory a guest is given.</param>
/// <param name="found">Where it is put.</param>
internal sealed class ClaimWays(Lab lab, DeviceMap map, Guest guest, Func<Guest, ByteSize> memory, ClaimCase found)
{
    private Host Host => map.Host;

    /// <summary>Looks into one way on one device, which is there and suits the guest's packaging.</summary>
    public void Look(ClaimWay way, string device, UsbPlace? usb, PciFunction? function)
    {
        switch (way)
        {
            case ClaimWay.Whole:
                Whole(usb?.Controller ?? device, usb);
                break;
            case ClaimWay.UsbId or ClaimWay.UsbPort:
                Usb(usb!, way);
                break;
            case ClaimWay.Node:
                Node(usb, device, function);
                break;
            case ClaimWay.Slice:
                Slice(device, function);
                break;
        }
    }

    private void Whole(string address, UsbPlace? stick)
    {
        // What else is wrong with it is said too: the switch in the firmware alone may not help.
        if (Host.Hardware.Isolation == false)
        {
            found.No($"I/O isolation is off on {Host.Name}", ClaimTrouble.IsolationOff);
        }

        if (map.TrayOf(address) is not { } tray)
        {
            found.No($"the controller at {address} was not read as a card");
            return;
        }

        foreach (var need in tray.NeededByHost)
        {
            found.No(
                need.What == address ? $"{Host.Name} needs it: {need.Why}"
                    : tray.Group is { } group ? $"group {group} also holds {need.What}: {need.Why}"
                    : $"{need.What} goes along: {need.Why}",
                ClaimTrouble.HostNeeds
            );
        }

        if (DeviceTray.IsBridge(Host.Hardware.Function(address)!))
        {
            found.No($"{address} is a bridge: it stays with the host, and what lies behind it is handed over by itself");
        }

        if (tray.Group is null)
        {
            found.Along($"the isolation group of {address} was not read: run the script as root");
        }

        foreach (var other in tray.Moves.Where(f => f.Address != address))
        {
            found.Moves(
                other.Address,
                $"{other.Address} ({other.Name ?? PciClasses.KindOf(other.ClassCode)}) is in the same group and goes along"
            );
        }

        foreach (var moved in tray.Moves)
        {
            Moved(moved, stick);
        }

        if (Host.Hardware.GroupsSplit == true)
        {
            found.Note("isolation groups were split by a kernel switch: they are no boundary any more");
        }

        Pinned();
    }

    /// <summary>What the host loses with a function.</summary>
    private void Moved(PciFunction moved, UsbPlace? stick)
    {
        foreach (var hanging in map.On(moved.Address).Where(u => u != stick && !u.Device.Hub))
        {
            found.Moves(
                hanging.Device.Port,
                $"{hanging.Device.Name ?? "a device"} at port {hanging.Device.Port} hangs on it and goes along"
            );
        }

        if (moved.ConsoleGraphics)
        {
            found.Along($"{Host.Name} shows its console on {moved.Address} and is without a picture afterwards", ClaimTrouble.Headless);
        }

        if (moved.Reset is "")
        {
            found.Along($"{moved.Address} cannot be reset: after the guest stops the host may need a restart", ClaimTrouble.NoReset);
        }

        foreach (var port in Host.Hardware.Ports.Where(p => p.Function == moved.Address))
        {
            found.Cost($"{Host.Name} loses its port {port.Name}");
            foreach (var bridge in Host.Hardware.Bridges.Where(b => b.Ports.Contains(port.Name)))
            {
                found.Along($"bridge {bridge.Name} loses its port {port.Name}, and with it whoever reaches the network through it");
            }
        }
    }

    private void Usb(UsbPlace usb, ClaimWay way)
    {
        if (usb.Device.Hub)
        {
            found.No($"what is at port {usb.Device.Port} is a hub: take what hangs on it");
        }

        NotNeeded(usb);
        if (way == ClaimWay.UsbId)
        {
            if (usb.Device.Id is not { } id)
            {
                found.No($"the id of what is at port {usb.Device.Port} was not read");
            }
            else if (map.Usb.Count(u => u.Device.Id == id) is > 1 and var same)
            {
                found.No($"{same} devices have the id {id}: take it by its port", ClaimTrouble.SameId);
            }

            found.Cost($"only one device of that id can be on {Host.Name}");
        }
        else
        {
            found.Cost($"it must stay in port {usb.Device.Port}");
            if (usb.Device.Port.Contains('.', StringComparison.Ordinal))
            {
                found.Note($"port {usb.Device.Port} is on a hub: put the hub elsewhere and the port has another name", ClaimTrouble.OnHub);
            }
        }

        found.Cost($"{guest.Name} is tied to {Host.Name}");
    }

    private void Node(UsbPlace? usb, string device, PciFunction? function)
    {
        if (usb is not null)
        {
            NotNeeded(usb);
            found.Note("its node may come back under another number: hand in the link that stays the same, or the whole bus");
        }
        else if (function is not null && DeviceSorts.HasNoNode(function))
        {
            found.No($"the kernel makes no node of {PciClasses.KindOf(function.ClassCode)} at {device} that could be shared");
        }
        else if (function is { Driver: null, ClassCode.Length: > 0 })
        {
            found.Along($"no driver of the host has {device}: install it first, or there is no node", ClaimTrouble.NoDriver);
        }
        else if (function is not null && DeviceSorts.OnlyShowsAPicture(function))
        {
            found.Along(
                $"{function.Driver} only shows a picture: install the card's own driver first, or nothing converts in hardware",
                ClaimTrouble.NoDriver
            );
        }

        if (lab.Outer(guest) is { } outer)
        {
            Layers(outer, device);
        }

        found.Cost($"{Host.Name} keeps the driver; {guest.Name} is tied to it");
    }

    /// <summary>A stack inside another guest has what that one has.</summary>
    private void Layers(Guest outer, string device)
    {
        if (outer.Kind != GuestKind.Machine)
        {
            found.Along($"{outer.Name} has to map it too: two layers to keep right");
            return;
        }

        var has = outer.HandedWhole.Any(d => map.GoesAlong(d, device)) || outer.Claims.Any(c => c.Device == device && c.Way is not null);
        if (!has)
        {
            found.No(
                $"{guest.Name} runs inside {outer.Name}, a machine: the device has to go to {outer.Name} first",
                ClaimTrouble.OuterLayer
            );
        }
    }

    private void Slice(string device, PciFunction? function)
    {
        if (Host.Hardware.Isolation == false)
        {
            // The rule about isolation speaks of whole devices only.
            found.No($"I/O isolation is off on {Host.Name}");
        }

        if (function is null)
        {
            found.No($"what is at port {device} gives no slices");
        }
        else if (function.Slices is null)
        {
            found.No($"whether {device} gives slices was not read");
        }
        else if (function.Slices == 0)
        {
            found.No($"{device} gives no slices");
        }
        else
        {
            found.Cost($"one of {function.Slices} slices");
            Pinned();
        }
    }

    private void Pinned()
    {
        if (guest.MayShrinkTo is not null)
        {
            found.Along($"{guest.Name} can no longer shrink: its memory is pinned");
        }

        found.Cost($"all {memory(guest)} of {guest.Name} are pinned");
        found.Cost($"{guest.Name} is tied to {Host.Name}: no move while it runs, no suspend");
    }

    private void NotNeeded(UsbPlace usb)
    {
        if (HostNeeds.OfUsb(Host, usb.Device, DeviceSorts.SaysWhatItIs(usb.Device)) is { } need)
        {
            found.No(need, ClaimTrouble.HostNeeds);
        }
    }
}
