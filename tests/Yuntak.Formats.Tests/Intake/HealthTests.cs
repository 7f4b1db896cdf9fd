using Yuntak.Core.Labs;
using Yuntak.Formats.Intake;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests.Intake;

public class HealthTests
{
    [Theory]
    [Reference(
        "ATA attribute numbers 5 (reallocated) and 197 (pending), NVMe base specification: SMART / health information log, percentage used"
    )]
    [InlineData("smartctl-ata.json", "sdb", 46200, true, 8, 2, null, "sectors lost")]
    [InlineData("smartctl-ata-flash.json", "sda", 9120, true, 0, null, 6.0, "good")]
    [InlineData("smartctl-nvme-failing.json", "nvme0", 30100, false, null, null, 103.0, "failing")]
    [InlineData("smartctl-sas.json", "sdh", 1200, true, 3, null, 7.0, "sectors lost")]
    public void Hours_sectors_wear_and_the_disks_own_word_are_read(
        string sample,
        string device,
        double hours,
        bool passed,
        int? reallocated,
        int? pending,
        double? wear,
        string word
    )
    {
        var read = Samples.Read(sample).OtherHealth.Single();
        (read.Device, read.HoursRun).ShouldBe((device, hours));
        (read.Health.Passed, read.Health.ReallocatedSectors, read.Health.PendingSectors, read.Health.WearPercent).ShouldBe(
            (passed, reallocated, pending, wear)
        );
        read.Health.Word.ShouldBe(word);
    }

    [Fact]
    public void Health_finds_its_disk_by_stable_id_whatever_the_kernel_calls_it_today()
    {
        // The disk answers as sdb, but lsblk lists its id as sdc: the id counts.
        const string Blocks =
            """{"blockdevices":[{"name":"sdb","type":"disk","size":1000,"rota":true,"wwn":"0x0000000000039999"},{"name":"sdc","type":"disk","size":1000,"rota":true,"wwn":"0x0000000000030001"}]}""";
        var disks = IntakeReader.Read(Samples.Text("smartctl-ata.json") + "\n" + Blocks).Disks;
        disks.Single(d => d.Name == "sdc").HoursRun.ShouldBe(46200);
        disks.Single(d => d.Name == "sdb").Health.ShouldBeNull();
    }

    [Fact]
    public void An_NVMe_controller_speaks_for_its_first_name_space()
    {
        const string Blocks =
            """{"blockdevices":[{"name":"nvme0n1","type":"disk","size":1000,"tran":"nvme","model":"Tidepool N10","serial":"TEST0003"}]}""";
        IntakeReader.Read(Blocks + "\n" + Samples.Text("smartctl-nvme-failing.json")).Disks.Single().Health!.Failing.ShouldBeTrue();
    }

    [Fact]
    public void A_disk_that_could_not_be_asked_is_named_with_the_tools_own_words()
    {
        var reading = Samples.Read("smartctl-refused-this-machine.json");
        reading.HasAnything.ShouldBeFalse();
        reading.Problems.ShouldHaveSingleItem().ShouldContain("smartctl says of vda");
    }

    [Fact]
    public void Temperatures_come_with_limits_that_make_sense() =>
        Samples
            .Read("sensors.json")
            .Hardware.Temperatures.ShouldBe([
                new Temperature("Package id 0 (coretemp-isa-0000)", 61, 80),
                new Temperature("Core 0 (coretemp-isa-0000)", 59),
                new Temperature("Composite (nvme-pci-0100)", 84.85, 81.85),
                new Temperature("Sensor 2 (nvme-pci-0100)", 50.85),
            ]);

    [Fact]
    public void Measured_speeds_are_read_from_this_machines_own_runs()
    {
        var reading = Samples.Read("fio-this-machine.json", "iperf3-this-machine.json").Hardware;
        var disk = reading.DiskSpeeds.Single();
        (disk.Job, disk.Pattern, disk.Block).ShouldBe(("randread", "randread", "4k"));
        disk.Read!.Value.BytesPerSecond.ShouldBe(113_359_567, 1);
        disk.ReadsPerSecond!.Value.ShouldBe(27_675.7, 0.1);
        disk.Write.ShouldBeNull();
        var link = reading.LinkSpeeds.Single();
        (link.From, link.To).ShouldBe(("127.0.0.1", "127.0.0.1"));
        link.Goodput.BitsPerSecond.ShouldBe(26_421_342_211, 1);
    }

    [Fact]
    public void A_link_test_that_failed_says_why() =>
        IntakeReader
            .Read("""{"start":{"connected":[]},"intervals":[],"end":{},"error":"error - unable to connect to server"}""")
            .Problems.ShouldHaveSingleItem()
            .ShouldContain("unable to connect");

    [Theory]
    [InlineData("battery-first.txt", 100, 23, 41, 500)]
    [InlineData("battery-second.txt", 97, 12, 41.5, 330)]
    public void Both_ways_of_naming_a_battery_backups_values_are_read(
        string sample,
        double charge,
        double load,
        double minutes,
        double watts
    ) => Samples.Read(sample).Hardware.Battery.ShouldBe(new BatteryState(charge, load, minutes, watts));

    [Fact]
    public void The_firmwares_date_is_written_month_first() =>
        Samples.Read("dmi-plain.txt").Hardware.Firmware.ShouldBe(new Firmware(new DateOnly(2024, 3, 14), "F12", "Brackwater M2"));
}
