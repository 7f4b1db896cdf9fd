using Yuntak.Core.Labs;
using Yuntak.Formats.Intake;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests.Intake;

public class CardTests
{
    [Fact]
    public void Records_and_the_form_for_people_say_the_same_of_this_machine()
    {
        var records = Samples.Read("lspci-this-machine.txt").Hardware.Functions;
        var plain = Samples.Read("lspci-plain-this-machine.txt").Hardware.Functions;

        records.Count.ShouldBe(6);
        plain
            .Select(f => (f.Address, f.ClassCode, f.Ids, f.Driver))
            .ShouldBe(records.Select(f => (f.Address, f.ClassCode, f.Ids, f.Driver)));
        records[3].ShouldBe(new PciFunction("0000:00:03.0", "0200", "Saltpan network device", "f0f0:1041", null, "virtio-pci"));
    }

    [Fact]
    public void Slices_and_the_switch_that_splits_groups_are_read_as_the_kernel_writes_them()
    {
        // Kernel documentation, sysfs-bus-pci: sriov_totalvfs. The switch is from memory: it comes with a patch, not with the kernel.
        const string Text = """
            /sys/bus/pci/devices/0000:03:00.0/sriov_totalvfs:7
            /sys/bus/pci/devices/0000:04:00.0/sriov_totalvfs:many
            /proc/cmdline:iommu=pt pcie_acs_override=downstream,multifunction
            0000:03:00.0 Ethernet controller [0200]: Samphire card
            0000:04:00.0 Ethernet controller [0200]: Samphire card
            """;
        var read = IntakeReader.Read(Text).Hardware;
        read.Function("0000:03:00.0")!.Slices.ShouldBe(7);
        read.Function("0000:04:00.0")!.Slices.ShouldBeNull();
        read.GroupsSplit.ShouldBe(true);
        IntakeReader
            .Read("/proc/cmdline:iommu=pt\n0000:03:00.0 Ethernet controller [0200]: Samphire card")
            .Hardware.GroupsSplit.ShouldBe(false);
        IntakeReader.Read("0000:03:00.0 Ethernet controller [0200]: Samphire card").Hardware.GroupsSplit.ShouldBeNull();
    }

    [Fact]
    public void The_form_for_people_is_read_without_domain_and_with_other_lines_between()
    {
        var functions = Samples.Read("lspci-invented.txt").Hardware.Functions;

        functions
            .Select(f => (f.Address, PciClasses.KindOf(f.ClassCode), f.Driver))
            .ShouldBe([
                ("0000:00:00.0", "bridge", null),
                ("0000:00:14.0", "USB", "xhci_hcd"),
                ("0000:01:00.0", "VGA", null),
                ("0000:02:00.0", "NVMe", "nvme"),
                ("0000:03:00.0", "accelerator", "vfio-pci"),
            ]);
        functions[2].Group.ShouldBe(1);
        functions[4].Name.ShouldBe("Samphire AI card");
    }

    [Fact]
    [Reference("pci.ids, class section: the names lspci prints without -nn")]
    public void Without_codes_the_class_is_known_by_its_published_name() =>
        Samples.Read("lspci-names-only.txt").Hardware.Functions.Select(f => f.ClassCode).ShouldBe(["0106", "0403", "0200"]);

    [Fact]
    public void Groups_resets_slots_and_the_console_join_their_functions()
    {
        var kiln = IntakeReader.Read(Samples.Bundle).Hardware;

        kiln.Functions.Count.ShouldBe(13);
        kiln.Isolation.ShouldBe(true);
        kiln.Function("0000:01:00.0")
            .ShouldBe(
                new PciFunction(
                    "0000:01:00.0",
                    "0300",
                    "Glasswort G5 graphics",
                    "f0f0:2001",
                    1,
                    "simpledrm",
                    "bus",
                    "X16-1",
                    ConsoleGraphics: true
                )
            );
        kiln.Function("0000:04:00.0")!.Slot.ShouldBe("X1-1");
        kiln.Function("0000:00:1f.0")!.Reset.ShouldBe("", "the kernel lists only what can be reset");
    }

    [Theory]
    [InlineData("/sys/kernel/iommu_groups/14/devices/0000:03:00.0\n", "0000:03:00.0", 14, null)]
    [InlineData("/sys/bus/pci/devices/0000:03:00.0/reset_method:flr bus\n", "0000:03:00.0", null, "flr bus")]
    public void A_part_alone_still_tells_what_it_knows(string text, string address, int? group, string? reset)
    {
        var function = IntakeReader.Read(text).Hardware.Functions.Single();
        (function.Address, function.ClassCode, function.Group, function.Reset).ShouldBe((address, "", group, reset));
    }

    [Fact]
    public void Groups_that_were_looked_for_and_not_found_mean_that_isolation_is_off()
    {
        const string Looked = "=== yuntak part isolation: find ===\n=== yuntak part reset: files ===\n=== yuntak end ===\n";
        IntakeReader.Read(Looked).Hardware.Isolation.ShouldBe(false);
        IntakeReader.Read("=== yuntak part isolation: find ===\n").Hardware.Isolation.ShouldBeNull("the text ends there, so nobody knows");
        IntakeReader.Read("MemTotal: 16 kB\n").Hardware.Isolation.ShouldBeNull();
    }

    [Fact]
    public void A_record_without_an_address_is_named_and_the_others_stay()
    {
        var reading = IntakeReader.Read(
            "Slot:\t0000:00:01.0\nClass:\tHost bridge [0600]\n\nSlot:\t00\nClass:\tSMBus [0c05]\n\nSlot:\t0000:00:02.0\nClass:\tSMBus [0c05]\n"
        );
        reading.Hardware.Functions.Count.ShouldBe(2);
        reading.Problems.ShouldHaveSingleItem().ShouldContain("line 4");
    }
}
