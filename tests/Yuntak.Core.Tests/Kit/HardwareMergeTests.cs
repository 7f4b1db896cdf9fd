using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Kit;

/// <summary>What is inside a host, read piece by piece: what a text does not speak of stays.</summary>
public class HardwareMergeTests
{
    private static readonly Hardware Known = new(
        MemorySlots: [new MemorySlot("A1", ByteSize.FromGiB(16))],
        Functions:
        [
            new PciFunction("0000:00:14.0", "0c03", "USB 3 controller", "f0f0:1014", 3, "xhci_hcd", "pm"),
            new PciFunction("0000:01:00.0", "0300", "G5 graphics", "f0f0:2001", 1, "simpledrm", "bus", "X16-1", ConsoleGraphics: true),
        ],
        UsbBuses: [new UsbBus(1, "0000:00:14.0", 6, 480)],
        UsbDevices: [new UsbDevice("1-4", "f0f0:0301", "Battery backup", BatteryLink: true)],
        Ports:
        [
            new NetworkPort("enp1s0", "02:00:5e:10:00:01", 1000, true, "0000:02:00.0", ["10.40.7.2/24"], Management: true),
            new NetworkPort("enp2s0", "02:00:5e:10:00:02"),
        ],
        Temperatures: [new Temperature("Package", 46, 95)],
        Firmware: new Firmware(new DateOnly(2025, 6, 2), "2.11", "Brackwater M2"),
        Isolation: true
    );

    [Fact]
    public void Groups_alone_add_to_the_cards_that_are_known_and_name_those_that_are_not()
    {
        var after = Read(
            new Hardware(Functions: [new PciFunction("0000:01:00.0", "", Group: 9), new PciFunction("0000:05:00.0", "", Group: 4)]),
            KitParts.Isolation
        );
        after.Function("0000:01:00.0").ShouldBe(Known.Functions[1] with { Group = 9 });
        after.Functions.Select(f => f.Address).ShouldBe(["0000:00:14.0", "0000:01:00.0", "0000:05:00.0"]);
    }

    [Fact]
    public void A_list_of_cards_tells_which_are_there_and_keeps_what_it_does_not_speak_of()
    {
        var after = Read(
            new Hardware(Functions: [new PciFunction("0000:01:00.0", "0300", "G5 graphics", "f0f0:2001", Driver: "vfio-pci")]),
            KitParts.Cards
        );
        after.Functions.Single().ShouldBe(Known.Functions[1] with { Driver = "vfio-pci" });
    }

    [Fact]
    public void Another_card_at_the_same_address_inherits_nothing()
    {
        var other = new PciFunction("0000:01:00.0", "0200", "Gbit Ethernet");
        Read(new Hardware(Functions: [other]), KitParts.Cards).Functions.Single().ShouldBe(other);
    }

    [Fact]
    public void A_mark_that_a_person_set_on_a_stick_stays_while_it_is_the_same_stick()
    {
        Read(new Hardware(UsbDevices: [new UsbDevice("1-4", "f0f0:0301")]), KitParts.Usb).UsbDevices.Single().ShouldBe(Known.UsbDevices[0]);
        Read(new Hardware(UsbDevices: [new UsbDevice("1-4", "f0f0:0999")]), KitParts.Usb).UsbDevices.Single().BatteryLink.ShouldBeFalse();
    }

    [Fact]
    public void Speeds_alone_join_the_ports_that_are_known()
    {
        var after = Read(new Hardware(Ports: [new NetworkPort("enp2s0", SpeedMbps: 2500)]), KitParts.Network);
        after.Ports.ShouldBe([Known.Ports[0], Known.Ports[1] with { SpeedMbps = 2500 }]);
    }

    [Fact]
    public void A_port_without_a_link_has_no_speed_and_still_is_for_looking_after_the_host()
    {
        var down = new NetworkPort("enp1s0", "02:00:5e:10:00:01", null, false);
        Read(new Hardware(Ports: [down]), KitParts.Network)
            .Ports.Single()
            .ShouldBe(down with { Function = "0000:02:00.0", Management = true });
    }

    [Fact]
    public void Parts_that_were_not_read_stay_and_a_version_alone_keeps_the_date()
    {
        var after = Read(new Hardware(Firmware: new Firmware(Version: "2.12")), KitParts.Firmware);
        after.ShouldBe(Known with { Firmware = new Firmware(new DateOnly(2025, 6, 2), "2.12", "Brackwater M2") });
    }

    [Fact]
    public void Differences_inside_are_told_in_words()
    {
        var before = Small.Host("kiln").With(Known);
        var after = before.With(
            Known with
            {
                Isolation = false,
                MemorySlots = [new MemorySlot("A1", null)],
                Functions = [Known.Functions[0] with { Group = 5 }, new PciFunction("0000:01:00.0", "1200", "AI card", "f0f0:5001")],
                UsbBuses = [new UsbBus(1, "0000:04:00.0", 6, 480)],
                Ports = [Known.Ports[0] with { SpeedMbps = 100, Addresses = [] }],
            }
        );
        HostDifference
            .Between(before, after)
            .Select(c => c.Text)
            .ShouldBe([
                "isolation on → off",
                "memory slot A1 16\u202FGiB → free",
                "0000:00:14.0 isolation group 3 → 5",
                "at 0000:01:00.0: VGA G5 graphics at 0000:01:00.0 → accelerator AI card at 0000:01:00.0",
                "USB bus 1 belongs to 0000:00:14.0 → 0000:04:00.0",
                "network port enp1s0 speed 1\u202FGbit/s → 100\u202FMbit/s",
                "network port enp1s0 addresses 10.40.7.2/24 → nothing",
                "network port enp2s0 gone",
            ]);
    }

    [Fact]
    public void What_is_measured_anew_each_time_is_no_difference()
    {
        var before = Small.Host("kiln").With(Known);
        HostDifference
            .Between(
                before,
                before.With(Known with { Temperatures = [new Temperature("Package", 61, 95)], Battery = new BatteryState(99) })
            )
            .ShouldBeEmpty();
    }

    private static Hardware Read(Hardware now, string part)
    {
        var lab = Small.Lab(Small.Host("kiln").With(Known));
        var reading = new HostReading(null, null, [], [new PartReading(part, 1, [])]) { Hardware = now };
        return HostUpdate.Of(Assessment.Of(lab), lab.Hosts[0], reading).After.Hardware;
    }
}
