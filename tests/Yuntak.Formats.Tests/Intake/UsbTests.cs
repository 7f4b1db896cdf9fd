using Yuntak.Core.Labs;
using Yuntak.Formats.Intake;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests.Intake;

public class UsbTests
{
    [Fact]
    public void The_tree_has_the_ports_and_the_list_has_the_names()
    {
        var usb = Samples.Read("lsusb-old.txt").Hardware;

        usb.UsbDevices.ShouldBe([
            new UsbDevice("1-3", "f0f0:0010", "Keyboard"),
            new UsbDevice("1-7", null, null, Hub: true),
            new UsbDevice("1-7.1", null, null, Hub: true),
            new UsbDevice("1-7.1.4", "f0f0:0101", "Radio stick"),
            new UsbDevice("1-7.2", "f0f0:0022", "Card reader"),
            new UsbDevice("1-9", "f0f0:0301"),
        ]);
        usb.UsbBuses.ShouldBe([new UsbBus(1, null, 10, 480), new UsbBus(2, null, 4, 5000)]);
    }

    [Fact]
    public void Newer_trees_pad_their_numbers_and_carry_the_names_themselves() =>
        Samples
            .Read("lsusb-new.txt")
            .Hardware.UsbDevices.ShouldBe([
                new UsbDevice("1-2", "f0f0:0101", "Radio stick"),
                new UsbDevice("1-5", "f0f0:0021", "Card reader hub", Hub: true),
                new UsbDevice("1-5.1", "f0f0:0022", "Card reader"),
            ]);

    [Theory]
    [Trade]
    [InlineData("1-2", "0000:00:14.0")]
    [InlineData("3-2.1", "0000:04:00.0")]
    [InlineData("5-1", "xhci-hcd.0.auto")]
    [InlineData("9-1", null)]
    public void A_port_belongs_to_the_controller_that_owns_its_bus(string port, string? controller) =>
        Samples.Read("usb-links.txt").Hardware.ControllerOf(port).ShouldBe(controller);

    [Fact]
    public void Links_alone_name_the_ports_and_pass_over_interfaces() =>
        Samples.Read("usb-links.txt").Hardware.UsbDevices.Select(d => d.Port).ShouldBe(["1-2", "3-2.1"]);

    [Fact]
    public void Values_below_sys_do_without_lsusb()
    {
        const string Text = """
            /sys/bus/usb/devices/usb1/maxchild:6
            /sys/bus/usb/devices/usb1/speed:480
            /sys/bus/usb/devices/usb1 -> ../../../devices/pci0000:00/0000:00:14.0/usb1
            /sys/bus/usb/devices/1-4/idVendor:f0f0
            /sys/bus/usb/devices/1-4/idProduct:0301
            /sys/bus/usb/devices/1-4/product:Battery backup
            /sys/bus/usb/devices/1-4/maxchild:0
            """;
        var usb = IntakeReader.Read(Text).Hardware;
        usb.UsbDevices.Single().ShouldBe(new UsbDevice("1-4", "f0f0:0301", "Battery backup"));
        usb.UsbBuses.Single().ShouldBe(new UsbBus(1, "0000:00:14.0", 6, 480));
    }

    [Fact]
    public void The_plain_list_alone_tells_bus_and_controller_but_no_port()
    {
        var usb = IntakeReader.Read("Bus 003 Device 005: ID f0f0:0101 Radio stick\n" + Samples.Text("usb-links.txt")).Hardware;
        var stick = usb.UsbDevices.Single(d => d.Id == "f0f0:0101");
        usb.ControllerOf(stick.Port).ShouldBe("0000:04:00.0");
    }

    [Fact]
    public void A_tree_that_lost_a_branch_says_so_and_keeps_the_rest()
    {
        var reading = IntakeReader.Read(
            "/:  Bus 01.Port 1: Dev 1, Class=root_hub, Driver=xhci_hcd/4p, 480M\n            |__ Port 2: Dev 9, If 0, Class=Audio, Driver=, 12M\n    |__ Port 1: Dev 2, If 0, Class=Audio, Driver=, 12M\n"
        );
        reading.Hardware.UsbDevices.Single().Port.ShouldBe("1-1");
        reading.Problems.ShouldHaveSingleItem().ShouldContain("line 2");
    }
}
