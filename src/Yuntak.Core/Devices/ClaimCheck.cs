using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Devices;

/// <summary>Says what becomes of claims, before they are made: possible, with collateral, or impossible, and why.</summary>
public sealed class ClaimCheck
{
    private readonly Lab lab;
    private readonly DeviceMap map;

    /// <summary>What others have of the host's devices: the guest, the way, the device.</summary>
    private readonly List<(Guest Guest, ClaimWay Way, string Device)> taken;

    private ClaimCheck(Lab lab, DeviceMap map)
    {
        (this.lab, this.map) = (lab, map);
        taken =
        [
            .. lab
                .Guests.Where(g => lab.HostOf(g)?.Id == map.Host.Id)
                .SelectMany(g =>
                    g.Devices.Select(d => (g, ClaimWay.Whole, d))
                        .Concat(g.Claims.Where(c => c is { Way: not null, Device: not null }).Select(c => (g, c.Way!.Value, c.Device!)))
                ),
        ];
    }

    /// <summary>The check for one host of a lab.</summary>
    public static ClaimCheck On(Lab lab, DeviceMap map) => new(lab, map);

    /// <summary>All claims of the guests on the host, each with the best way there is where way or device are open. Devices listed on guests are whole claims.</summary>
    public IEnumerable<ClaimVerdict> Claims() =>
        from guest in lab.Guests
        where lab.HostOf(guest)?.Id == map.Host.Id
        from claim in guest
            .Devices.Select(d => new DeviceClaim(DeviceSorts.NeedOf(map.Host.Hardware.Function(d)), ClaimWay.Whole, d))
            .Concat(guest.Claims)
        select Best(guest, claim);

    /// <summary>Every way a claim could be met on the host, side by side: the best first.</summary>
    public IReadOnlyList<ClaimVerdict> Ways(Guest guest, DeviceClaim claim) =>
        [
            .. from device in claim.Device is { } named ? [named] : DeviceSorts.Of(map.Host, claim.Need)
            from way in claim.Way is { } chosen ? [chosen] : Enum.GetValues<ClaimWay>().Where(w => Suits(guest, w, device))
            let verdict = Of(guest, claim.Need, device, way)
            orderby verdict.Answer, verdict.AlsoMoves.Count, verdict.Pins, verdict.Reasons.Count
            select verdict,
        ];

    /// <summary>The best way to meet a claim; where there is none, why.</summary>
    public ClaimVerdict Best(Guest guest, DeviceClaim claim)
    {
        var ways = Ways(guest, claim);
        return ways.Count > 0
            ? ways[0]
            : new ClaimVerdict(
                guest,
                claim.Need,
                claim.Device,
                claim.Way,
                ClaimAnswer.Impossible,
                [],
                default,
                [
                    claim is { Need: DeviceNeed.Other, Device: null }
                        ? "which device it is has not been said"
                        : $"{map.Host.Name} has no {claim.Need.Words()} that was read",
                    .. map.Gaps,
                ]
            );
    }

    /// <summary>What becomes of one way on one device.</summary>
    public ClaimVerdict Of(Guest guest, DeviceNeed need, string device, ClaimWay way)
    {
        ClaimCase found = new();
        var usb = map.Usb.FirstOrDefault(u => u.Device.Port == device);
        var function = map.Host.Hardware.Function(device);
        if (usb is null && function is null)
        {
            found.No($"{map.Host.Name} has nothing at {device} that was read");
        }
        else if (way == ClaimWay.Node ? guest.Kind == GuestKind.Machine : guest.Kind != GuestKind.Machine)
        {
            found.No(
                way == ClaimWay.Node
                    ? "a machine has a kernel of its own and sees no node of the host's"
                    : $"only a machine takes a device {way.Words()}"
            );
        }
        else
        {
            switch (way)
            {
                case ClaimWay.Whole:
                    Whole(guest, usb?.Controller ?? device, usb, found);
                    break;
                case ClaimWay.UsbId or ClaimWay.UsbPort when usb is null:
                    found.No($"{device} is no USB port");
                    break;
                case ClaimWay.UsbId or ClaimWay.UsbPort:
                    Usb(guest, usb, way, found);
                    break;
                case ClaimWay.Node:
                    Node(guest, usb?.Controller ?? device, device, function, found);
                    break;
                case ClaimWay.Slice:
                    found.No("which cards give slices was not read");
                    break;
            }
        }

        var pins = way == ClaimWay.Whole && found.Answer != ClaimAnswer.Impossible ? Sizing.Of(lab, guest).Memory : ByteSize.Zero;
        return new ClaimVerdict(guest, need, device, way, found.Answer, found.AlsoMoves, pins, found.Reasons);
    }

    private void Whole(Guest guest, string address, UsbPlace? stick, ClaimCase found)
    {
        if (map.Host.Hardware.Isolation == false)
        {
            found.No($"I/O isolation is off on {map.Host.Name}");
            return;
        }

        if (map.TrayOf(address) is not { } tray)
        {
            found.No($"the controller at {address} was not read as a card");
            return;
        }

        foreach (var need in tray.NeededByHost)
        {
            found.No($"{(tray.Group is { } group ? $"group {group}" : need.What)} also holds {need.What}: {need.Why}");
        }

        if (tray.Group is null)
        {
            found.Along($"the isolation group of {address} was not read: run the script as root");
        }

        foreach (var other in tray.Moves.Where(f => f.Address != address))
        {
            found.Moves(other.Address, $"{other.Address} ({other.Name ?? other.ClassCode}) is in the same group and goes along");
        }

        foreach (var moved in tray.Moves)
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
                found.Along($"{map.Host.Name} shows its console on {moved.Address} and is without a picture afterwards");
            }

            if (moved.Reset is "")
            {
                found.Along($"{moved.Address} cannot be reset: after the guest stops the host may need a restart");
            }

            foreach (var (other, way, device) in taken.Where(t => t.Guest.Id != guest.Id && ControllerOf(t.Device) == moved.Address))
            {
                found.No($"{other.Name} has {(way == ClaimWay.Whole ? moved.Address : device)}");
            }
        }

        if (guest.MayShrinkTo is not null)
        {
            found.Along($"{guest.Name} can no longer shrink: its memory is pinned");
        }
    }

    private void Usb(Guest guest, UsbPlace usb, ClaimWay way, ClaimCase found)
    {
        if (usb.Device.BatteryLink)
        {
            found.No("the battery backup is linked to the host through it");
        }

        if (way == ClaimWay.UsbId)
        {
            if (usb.Device.Id is not { } id)
            {
                found.No($"the id of what is at port {usb.Device.Port} was not read");
            }
            else if (map.Usb.Count(u => u.Device.Id == id) > 1)
            {
                found.No($"{map.Usb.Count(u => u.Device.Id == id)} devices have the id {id}: take it by its port");
            }
        }

        if (usb.Controller is { } controller)
        {
            NotHandedOver(guest, controller, found);
        }

        foreach (var (other, _, _) in taken.Where(t => t.Guest.Id != guest.Id && t.Device == usb.Device.Port && t.Way != ClaimWay.Node))
        {
            found.No($"{other.Name} has what is at port {usb.Device.Port}");
        }
    }

    private void Node(Guest guest, string controller, string device, PciFunction? function, ClaimCase found)
    {
        NotHandedOver(guest, controller, found);
        foreach (
            var (other, _, _) in taken.Where(t =>
                t.Guest.Id != guest.Id && t.Device == device && t.Way is ClaimWay.UsbId or ClaimWay.UsbPort
            )
        )
        {
            found.No($"{other.Name} has it by USB");
        }

        if (function is { Driver: null, ClassCode.Length: > 0 })
        {
            found.Along($"no driver of the host has {device}: install it first, or there is no node");
        }

        if (lab.Outer(guest) is { } outer)
        {
            if (outer.Kind == GuestKind.Machine)
            {
                found.No($"{guest.Name} runs inside {outer.Name}, a machine: the device has to go to {outer.Name}");
            }
            else
            {
                found.Along($"{outer.Name} has to map it too: two layers to keep right");
            }
        }
    }

    /// <summary>A controller that another guest has whole takes all that hangs on it along, in whichever group it lies.</summary>
    private void NotHandedOver(Guest guest, string controller, ClaimCase found)
    {
        var tray = map.TrayOf(controller);
        foreach (
            var (other, _, device) in taken.Where(t =>
                t.Guest.Id != guest.Id
                && t.Way == ClaimWay.Whole
                && (ControllerOf(t.Device) == controller || (tray?.Group is not null && map.TrayOf(ControllerOf(t.Device) ?? "") == tray))
            )
        )
        {
            found.No($"{other.Name} has {device} whole, and with it what hangs on {controller}");
        }
    }

    private string? ControllerOf(string device) => map.Usb.FirstOrDefault(u => u.Device.Port == device)?.Controller ?? device;

    /// <summary>The ways that are tried where none is chosen. Slices are not: which cards give them was not read.</summary>
    private bool Suits(Guest guest, ClaimWay way, string device) =>
        way switch
        {
            ClaimWay.Whole => guest.Kind == GuestKind.Machine,
            ClaimWay.UsbId or ClaimWay.UsbPort => guest.Kind == GuestKind.Machine && map.Usb.Any(u => u.Device.Port == device),
            ClaimWay.Node => guest.Kind != GuestKind.Machine,
            ClaimWay.Slice => false,
        };
}
