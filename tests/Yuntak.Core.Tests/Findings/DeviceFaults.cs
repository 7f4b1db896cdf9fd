using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Findings;

/// <summary>A lab for each fault the rules about devices look out for.</summary>
internal static class DeviceFaults
{
    private const string Card = "0000:01:00.0";
    private const string Console = "0000:02:00.0";
    private const string Usb = "0000:04:00.0";
    private const string Boot = "0000:05:00.0";

    public static IEnumerable<(string Rule, Lab Lab)> All()
    {
        yield return ("devices.host-needs", With(Kiln(), ("desk", GuestKind.Machine, Whole(Boot))));
        yield return (
            "devices.claimed-twice",
            With(Kiln(), ("desk", GuestKind.Machine, Whole(Card)), ("films", GuestKind.Machine, Whole(Card)))
        );
        yield return (
            "devices.shared-and-whole",
            With(Kiln(), ("desk", GuestKind.Machine, Whole(Card)), ("films", GuestKind.SystemContainer, Node(Card)))
        );
        yield return (
            "devices.taken",
            With(
                Kiln(),
                ("hub", GuestKind.Machine, Stick(ClaimWay.UsbPort, "3-1")),
                ("desk", GuestKind.Machine, Stick(ClaimWay.Whole, "3-2"))
            )
        );
        yield return ("devices.same-id", With(Twins(Kiln()), ("hub", GuestKind.Machine, Stick(ClaimWay.UsbId, "3-1"))));
        yield return ("devices.layer-missing", Nested());
        yield return ("devices.group-not-mapped", With(Kiln(), ("films", GuestKind.SystemContainer, Node(Card) with { Mapped = false })));
        yield return ("devices.not-possible", With(Kiln(), ("desk", GuestKind.Machine, Whole("0000:0f:00.0"))));
        yield return (
            "devices.only-elsewhere",
            With(
                Small.Lab(Bare("kiln"), Small.Host("wren", 64, 8, 16).With(Kiln().Hardware)),
                ("films", GuestKind.SystemContainer, new DeviceClaim(DeviceNeed.VideoEncoder))
            )
        );
        yield return ("devices.headless", With(Kiln(), ("desk", GuestKind.Machine, Whole(Console))));
        yield return ("devices.no-reset", With(Changed(Kiln(), f => f with { Reset = "" }), ("desk", GuestKind.Machine, Whole(Card))));
        yield return ("devices.on-hub", With(Kiln(), ("hub", GuestKind.Machine, Stick(ClaimWay.UsbPort, "3-3.1"))));
        yield return (
            "devices.node-without-driver",
            With(Changed(Kiln(), f => f with { Driver = null }), ("films", GuestKind.SystemContainer, Node(Card)))
        );
        yield return (
            "devices.groups-split",
            With(Kiln().With(Kiln().Hardware with { GroupsSplit = true }), ("desk", GuestKind.Machine, Whole(Card)))
        );
        yield return (
            "devices.tied-cannot-move",
            With(Kiln(), ("desk", GuestKind.Machine, Whole(Card))).Every(g => g with { MovesRunning = true })
        );
        yield return (
            "devices.memory-in-backup",
            With(Kiln(), ("desk", GuestKind.Machine, Whole(Card))).Every(g => g with { BackedUpWithMemory = true })
        );
        yield return ("devices.not-there", With(Bare("kiln"), ("hub", GuestKind.Machine, new DeviceClaim(DeviceNeed.RadioStick))));
        yield return ("devices.open", With(Kiln(), ("films", GuestKind.SystemContainer, new DeviceClaim(DeviceNeed.VideoEncoder))));
    }

    /// <summary>A host with two graphics cards, sticks on a controller of their own, and a boot disk on a controller that was read.</summary>
    private static Host Kiln()
    {
        var host = Small.Host("kiln", 64, 8, 16);
        return (host with { Disks = host.Disks.Change(_ => true, d => d with { Controller = d.IsBoot ? Boot : "0000:06:00.0" }) }).With(
            new Hardware(
                Functions:
                [
                    new PciFunction(Card, "0300", "Card", Group: 1, Driver: "gfx0", Reset: "flr"),
                    new PciFunction(Console, "0300", "Built in", Group: 2, Driver: "gfx0", Reset: "flr", ConsoleGraphics: true),
                    new PciFunction(Usb, "0c03", "Controller", Group: 4, Driver: "xhci_hcd", Reset: "flr"),
                    new PciFunction(Boot, "0106", "Controller", Group: 5, Driver: "ahci", Reset: "flr"),
                ],
                UsbBuses: [new UsbBus(3, Usb, 4)],
                UsbDevices:
                [
                    new UsbDevice("3-1", "f0f0:0101", "Radio stick"),
                    new UsbDevice("3-2", "f0f0:0102", "Serial adapter"),
                    new UsbDevice("3-3", "f0f0:0009", "Hub", Hub: true),
                    new UsbDevice("3-3.1", "f0f0:0103", "Radio stick"),
                ],
                Isolation: true
            )
        );
    }

    /// <summary>A host that was read and has nothing anybody would ask for.</summary>
    private static Host Bare(string name) =>
        Small.Host(name, 64, 8, 16).With(new Hardware(Functions: [new PciFunction("0000:00:00.0", "0600", Group: 0)], Isolation: true));

    private static Host Twins(Host host) =>
        host.With(
            host.Hardware with
            {
                UsbDevices = host.Hardware.UsbDevices.Change(d => d.Port == "3-3.1", d => d with { Id = "f0f0:0101" }),
            }
        );

    private static Host Changed(Host host, Func<PciFunction, PciFunction> change) =>
        host.With(host.Hardware with { Functions = host.Hardware.Functions.Change(f => f.Address == Card, change) });

    private static Lab Nested()
    {
        var lab = With(Kiln(), ("engine", GuestKind.SystemContainer, new DeviceClaim(DeviceNeed.VideoEncoder, ClaimWay.Node, Console)))
            .WithGuestOn(Small.Guest("films", "wiki", GuestKind.AppStack), "kiln");
        return lab.WithGuest(new GuestId("films"), g => g with { Placement = null, RunsIn = new GuestId("engine"), Claims = [Node(Card)] });
    }

    private static DeviceClaim Whole(string device) => new(DeviceNeed.VideoEncoder, ClaimWay.Whole, device);

    private static DeviceClaim Node(string device) => new(DeviceNeed.VideoEncoder, ClaimWay.Node, device);

    private static DeviceClaim Stick(ClaimWay way, string port) => new(DeviceNeed.RadioStick, way, port);

    private static Lab Every(this Lab lab, Func<Guest, Guest> change) => lab with { Guests = lab.Guests.Change(_ => true, change) };

    private static Lab With(Host host, params (string Name, GuestKind Kind, DeviceClaim Claim)[] guests) => With(Small.Lab(host), guests);

    private static Lab With(Lab lab, params (string Name, GuestKind Kind, DeviceClaim Claim)[] guests) =>
        guests.Aggregate(
            lab,
            (l, of) =>
                l.WithGuestOn(Small.Guest(of.Name, "wiki", of.Kind), "kiln")
                    .WithGuest(new GuestId(of.Name), g => g with { Claims = [of.Claim] })
        );
}
