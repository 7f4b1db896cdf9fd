using CsCheck;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Devices;

/// <summary>Who has which hardware, and what goes along with it: chapter 4.</summary>
public class ClaimTests
{
    private const string Bridge = "0000:00:01.0";
    private const string Card = "0000:01:00.0";
    private const string Sound = "0000:01:00.1";
    private const string Usb = "0000:00:14.0";
    private const string Boot = "0000:00:17.0";

    [Fact]
    public void A_group_with_a_bridge_and_two_functions_hands_over_two_functions()
    {
        var map = DeviceMap.Of(Host());
        map.TrayOf(Card)!.Moves.Select(f => f.Address).ShouldBe([Card, Sound]);
        var verdict = Check(Machine(), new DeviceClaim(DeviceNeed.VideoEncoder, ClaimWay.Whole, Card));
        (verdict.Answer, verdict.AlsoMoves.Single()).ShouldBe((ClaimAnswer.Collateral, Sound));
    }

    [Fact]
    public void A_stick_on_port_3_2_1_belongs_to_the_controller_that_owns_bus_3() =>
        DeviceMap.Of(Host()).Usb.Single(u => u.Device.Port == "3-2.1").Controller.ShouldBe(Usb);

    [Fact]
    public void A_machine_with_8_GiB_and_a_whole_device_pins_8_GiB()
    {
        var machine = Machine() with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(8)), MayShrinkTo = ByteSize.FromGiB(2) };
        var claim = new DeviceClaim(DeviceNeed.VideoEncoder, ClaimWay.Whole, Card);
        var verdict = Check(machine, claim);
        verdict.Pins.ShouldBe(ByteSize.FromGiB(8));
        verdict.Reasons.ShouldContain(r => r.Contains("no longer shrink"));

        // The same claim counts in the budget as a device that is listed does.
        var listed = Small.Lab(Host()).WithGuestOn(machine with { Devices = [Card] }, "kiln");
        var claimed = Small.Lab(Host()).WithGuestOn(machine, "kiln").WithGuest(machine.Id, g => g with { Claims = [claim] });
        var budget = listed.WithGuest(machine.Id, g => g with { Devices = [Card] });
        Assessment.Of(claimed).Hosts[0].Memory.Committed.Value.ShouldBe(Assessment.Of(budget).Hosts[0].Memory.Committed.Value);
    }

    [Theory]
    [Trade]
    [InlineData(Boot, "starts from")]
    [InlineData("0000:02:00.0", "looked after through it")]
    [InlineData("0000:03:00.0", "battery backup")]
    public void What_the_host_needs_is_never_handed_over(string device, string why)
    {
        var verdict = Check(Machine(), new DeviceClaim(DeviceNeed.Other, ClaimWay.Whole, device));
        verdict.Answer.ShouldBe(ClaimAnswer.Impossible);
        verdict.Reasons.ShouldContain(r => r.Contains(why));

        var lab = Small.Lab(Host()).WithGuestOn(Machine(), "kiln");
        foreach (
            var guest in new[]
            {
                Machine() with
                {
                    Devices = [device],
                },
                Machine() with
                {
                    Claims = [new DeviceClaim(DeviceNeed.Other, ClaimWay.Whole, device)],
                },
            }
        )
        {
            lab.WithGuest(guest.Id, g => g with { Devices = guest.Devices, Claims = guest.Claims })
                .Finding("devices.host-needs")
                .Text.ShouldContain(why);
        }
    }

    [Fact]
    public void Two_sticks_of_one_id_are_taken_by_their_ports()
    {
        Check(Machine(), new DeviceClaim(DeviceNeed.RadioStick, ClaimWay.UsbId, "3-1")).Answer.ShouldBe(ClaimAnswer.Impossible);
        Check(Machine(), new DeviceClaim(DeviceNeed.RadioStick, ClaimWay.UsbPort, "3-1")).Answer.ShouldBe(ClaimAnswer.Possible);
        var open = Check(Machine(), new DeviceClaim(DeviceNeed.RadioStick));
        (open.Way, open.Answer).ShouldBe((ClaimWay.UsbPort, ClaimAnswer.Possible));
    }

    [Fact]
    public void A_stick_whose_controller_another_guest_has_cannot_be_had()
    {
        var owner = Small.Guest("owner") with { Devices = [Usb] };
        var verdict = Check(Machine(), new DeviceClaim(DeviceNeed.RadioStick, ClaimWay.UsbPort, "3-1"), owner);
        verdict.Answer.ShouldBe(ClaimAnswer.Impossible);
        verdict.Reasons.Single().ShouldContain("owner has");
    }

    [Fact]
    public void A_node_is_shared_by_containers_and_not_while_a_machine_has_the_card()
    {
        var films = Small.Guest("films", "media-library", GuestKind.SystemContainer);
        var other = Small.Guest("other", "camera-recorder", GuestKind.SystemContainer) with
        {
            Claims = [new DeviceClaim(DeviceNeed.VideoEncoder, ClaimWay.Node, Card)],
        };
        Check(films, new DeviceClaim(DeviceNeed.VideoEncoder), other).Answer.ShouldBe(ClaimAnswer.Possible);
        var taken = Small.Guest("desk", "desktop") with { Devices = [Card] };
        Check(films, new DeviceClaim(DeviceNeed.VideoEncoder), taken).Answer.ShouldBe(ClaimAnswer.Impossible);
        Check(Machine(), new DeviceClaim(DeviceNeed.VideoEncoder, ClaimWay.Whole, Card), other).Answer.ShouldBe(ClaimAnswer.Impossible);
        Check(Machine(), new DeviceClaim(DeviceNeed.VideoEncoder, ClaimWay.Node, Card)).Answer.ShouldBe(ClaimAnswer.Impossible);
    }

    [Fact]
    public void What_was_not_read_is_a_gap_and_said()
    {
        var unread = Host()
            .With(
                Host().Hardware with
                {
                    Functions = [.. Host().Hardware.Functions.Select(f => f with { Group = null })],
                    Isolation = null,
                }
            );
        DeviceMap.Of(unread).Gaps.ShouldContain("isolation groups were not read: run the script as root");
        var off = Host().With(Host().Hardware with { Isolation = false });
        Check(off, Machine(), new DeviceClaim(DeviceNeed.VideoEncoder, ClaimWay.Whole, Card)).Answer.ShouldBe(ClaimAnswer.Impossible);
        var nothing = Check(Small.Host("kiln"), Machine(), new DeviceClaim(DeviceNeed.RadioStick));
        (nothing.Answer, nothing.Device).ShouldBe((ClaimAnswer.Impossible, null));
    }

    [Fact]
    public void One_listing_before_and_one_after_name_the_port_that_came()
    {
        var after = Host().Hardware;
        var before = after with { UsbDevices = after.UsbDevices.Without(d => d.Port == "3-2.1") };
        var came = UsbArrivals.Between(before, after).ShouldHaveSingleItem();
        (came.Device.Port, came.Controller).ShouldBe(("3-2.1", Usb));
        UsbArrivals.Between(after, after).ShouldBeEmpty();
    }

    [Fact]
    public void Over_any_lab_a_group_is_never_split_and_what_the_host_needs_never_given() =>
        Gen.Select(Gens.AnyLab, Gen.Enum<DeviceNeed>())
            .Holds(
                (lab, need) =>
                {
                    foreach (var guest in lab.Guests.Where(g => lab.HostOf(g) is not null))
                    {
                        var host = lab.HostOf(guest)!;
                        var map = DeviceMap.Of(host);
                        map.Trays.Sum(t => t.Functions.Count).ShouldBe(host.Hardware.Functions.Count, "every function lies in one tray");
                        foreach (
                            var verdict in ClaimCheck
                                .On(lab, map)
                                .Ways(new AskedClaim(guest, new DeviceClaim(need), AskedBy.Claim) { Number = -1 })
                        )
                        {
                            // Done a second time, without the code it checks: by the rules of the chapter.
                            (verdict.Way == ClaimWay.Node).ShouldBe(guest.Kind != GuestKind.Machine);
                            if (verdict is not { Way: ClaimWay.Whole, Answer: not ClaimAnswer.Impossible })
                            {
                                continue;
                            }

                            var address = host.Hardware.ControllerOf(verdict.Device!) ?? verdict.Device!;
                            var group = host.Hardware.Function(address)!.Group;
                            var along = host
                                .Hardware.Functions.Where(f =>
                                    f.Address != address && group is not null && f.Group == group && !f.ClassCode.StartsWith("06")
                                )
                                .Select(f => f.Address);
                            verdict.AlsoMoves.ShouldBeSubsetOf(
                                [.. along, .. host.Hardware.UsbDevices.Select(d => d.Port)],
                                "nothing outside the group moves but what hangs on it"
                            );
                            along.ShouldBeSubsetOf(verdict.AlsoMoves);
                            along.Append(address).ShouldAllBe(a => Core.Kit.HostNeeds.Of(host, a) == null);
                        }
                    }
                },
                iter: 100
            );

    private static Guest Machine() => Small.Guest("desk", "desktop");

    private static ClaimVerdict Check(Guest guest, DeviceClaim claim, params Guest[] others) => Check(Host(), guest, claim, others);

    private static ClaimVerdict Check(Host host, Guest guest, DeviceClaim claim, params Guest[] others)
    {
        var lab = others.Append(guest).Aggregate(Small.Lab(host), (l, g) => l.WithGuestOn(g, "kiln"));
        // Putting a guest on a host leaves its devices behind; these are said of it there.
        lab = others.Append(guest).Aggregate(lab, (l, g) => l.WithGuest(g.Id, at => at with { Devices = g.Devices, Claims = g.Claims }));
        return ClaimCheck
            .On(lab, DeviceMap.Of(lab.Hosts[0]))
            .Best(new AskedClaim(lab.Guest(guest.Id)!, claim, AskedBy.Claim) { Number = -1 });
    }

    private static Host Host()
    {
        var host = Small.Host("kiln", 64, 8, 16);
        return (host with { Disks = host.Disks.Change(d => d.IsBoot, d => d with { Controller = Boot }) }).With(
            new Hardware(
                Functions:
                [
                    new PciFunction(Bridge, "0604", Group: 1),
                    new PciFunction(Card, "0300", Group: 1, Driver: "gfx0", Reset: "flr"),
                    new PciFunction(Sound, "0403", Group: 1, Driver: "snd", Reset: "flr"),
                    new PciFunction(Usb, "0c03", Group: 3, Driver: "xhci_hcd", Reset: "flr"),
                    new PciFunction(Boot, "0106", Group: 4, Driver: "ahci", Reset: "flr"),
                    new PciFunction("0000:02:00.0", "0200", Group: 5, Reset: "flr"),
                    new PciFunction("0000:03:00.0", "0c03", Group: 6, Reset: "flr"),
                ],
                UsbBuses: [new UsbBus(3, Usb, 8), new UsbBus(5, "0000:03:00.0", 4)],
                UsbDevices:
                [
                    new UsbDevice("3-1", "f0f0:0101", "Radio stick"),
                    new UsbDevice("3-2", "f0f0:0002", "Hub", Hub: true),
                    new UsbDevice("3-2.1", "f0f0:0101", "Radio stick"),
                    new UsbDevice("5-1", "f0f0:0301", "Battery backup", BatteryLink: true),
                ],
                Ports: [new NetworkPort("enp2s0", Function: "0000:02:00.0", Management: true)],
                Isolation: true
            )
        );
    }
}
