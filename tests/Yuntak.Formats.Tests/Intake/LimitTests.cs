using Yuntak.Core.Edits;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;
using Yuntak.Formats.LabFiles;

namespace Yuntak.Formats.Tests.Intake;

/// <summary>What is read from a host's tools is held to the limits of the lab file: what Yuntak lets in, it writes and reads again.</summary>
public class LimitTests
{
    [Theory]
    [InlineData("=== yuntak part battery: x ===\nbattery.charge: 999999999\nups.realpower.nominal: 900\n")]
    [InlineData("Bus 000 Device 001: ID 1d6b:0002 root hub\n")]
    [InlineData("MemTotal: 999999999999999999 kB\n")]
    [InlineData("Architecture: x86\u0007_64\nCPU(s): 99999999\nThread(s) per core: 1\nCore(s) per socket: 99999999\nSocket(s): 1\n")]
    [InlineData("""{"blockdevices":[{"name":"sda","type":"disk","size":"9223372036854775807","rota":"1","wwn":"0x0000000000010001"}]}""")]
    [InlineData(
        """{"device":{"name":"/dev/sda"},"wwn":{"naa":0,"oui":0,"id":1},"power_on_time":{"hours":99999999999},"temperature":{"current":4000}}"""
    )]
    public void A_value_outside_its_limits_is_left_out_and_said(string text)
    {
        var reading = IntakeReader.Read(text + "\nMemTotal: 16384000 kB\n");
        var host = NewHost.From(reading, "shelf", new Processor("x86_64", 1, 4, 8), ByteSize.FromGiB(16));
        var lab = HostEdits.Add(host)(Lab.Empty("x")).Lab;

        LabFile.Read(LabFile.ToYaml(lab)).Problems.ShouldBeEmpty();
        LabFile.Read(LabFile.ToYaml(lab)).Lab.ShouldBe(lab);
    }

    [Fact]
    public void What_was_left_out_is_told_with_its_place() =>
        IntakeReader
            .Read("Architecture: x86_64\nCPU(s): 99999\nThread(s) per core: 1\nCore(s) per socket: 99999\nSocket(s): 1\n")
            .Problems.ShouldContain(p => p.Contains("left out"));

    [Theory]
    [InlineData("/:  Bus ٠١.Port 1: Dev 1, Class=root_hub, Driver=xhci_hcd/4p, 480M")]
    [InlineData("Bus ٠٠١ Device ٠٠٢: ID f0f0:0201 AI stick")]
    [InlineData("MemTotal: ٣٢٧٦٨ kB")]
    public void Digits_of_other_scripts_are_read_as_nothing(string line) => IntakeReader.Read(line).HasAnything.ShouldBeFalse();
}
