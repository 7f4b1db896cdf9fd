using System.Text;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests.Intake;

public class IntakeTests
{
    [Fact]
    public void This_machines_own_outputs_are_read_in_one_text()
    {
        var reading = IntakeReader.Read(
            Sample("lscpu-this-machine.json") + Sample("meminfo-this-machine.txt") + Sample("lsblk-this-machine.json")
        );

        reading.Processor!.Architecture.ShouldBe("x86_64");
        (reading.Processor.Sockets, reading.Processor.Cores, reading.Processor.Threads).ShouldBe((1, 2, 2));
        reading.Memory.ShouldBe(new ByteSize(24_684_096L * 1024));
        var disk = reading.Disks.Single();
        (disk.Name, disk.Size.Bytes, disk.Kind).ShouldBe(("vda", 274_877_906_944, DiskKind.Virtual));
        disk.MountedAt.ShouldBe(["/"]);
        reading.Problems.ShouldBeEmpty();
        reading.Parts.Select(p => p.Part).ShouldBe(["processor", "memory", "disks"]);
    }

    [Theory]
    [InlineData("lscpu-nested.json", "x86_64", 1, 8, 16, true)]
    [InlineData("lscpu-two-sockets.json", "x86_64", 2, 24, 48, true)]
    [InlineData("lscpu-two-sorts-of-cores.json", "aarch64", 1, 6, 6, null)]
    [InlineData("lscpu-this-machine.json", "x86_64", 1, 2, 2, false)]
    [InlineData("lscpu-plain.txt", "x86_64", 1, 2, 2, false)]
    public void Processors_are_read_from_flat_nested_and_plain_rows(
        string sample,
        string architecture,
        int sockets,
        int cores,
        int threads,
        bool? virtualisation
    )
    {
        var processor = IntakeReader.Read(Sample(sample)).Processor!;

        (processor.Architecture, processor.Sockets, processor.Cores, processor.Threads).ShouldBe((architecture, sockets, cores, threads));
        processor.Virtualisation.ShouldBe(virtualisation);
    }

    [Fact]
    [FromMemory]
    public void Effective_cores_follow_from_what_was_read() =>
        ProcessorBudget
            .EffectiveCores(IntakeReader.Read(Sample("lscpu-nested.json")).Processor!, LabSettings.Default)
            .Value.Value.ShouldBe(10.0, 1e-9);

    [Fact]
    public void Disks_are_told_apart_by_what_they_are()
    {
        var disks = IntakeReader.Read(Sample("lsblk-nested.json")).Disks;

        disks
            .Select(d => (d.Name, d.Kind))
            .ShouldBe([
                ("sda", DiskKind.SataFlash),
                ("sdb", DiskKind.Spinning),
                ("sdc", DiskKind.Usb),
                ("nvme0n1", DiskKind.NvmeFlash),
                ("mmcblk0", DiskKind.Card),
            ]);
    }

    [Fact]
    public void What_lies_on_a_disk_counts_as_mounted_on_it()
    {
        var boot = IntakeReader.Read(Sample("lsblk-nested.json")).Disks[0];
        boot.MountedAt.ShouldBe(["/boot/efi", "/", "/var/lib/images", "[SWAP]"], ignoreOrder: true);
        boot.IsBoot.ShouldBeTrue();
    }

    [Fact]
    public void A_disk_is_known_by_its_stablest_id()
    {
        var disks = IntakeReader.Read(Sample("lsblk-nested.json")).Disks;
        disks
            .Select(d => d.Id)
            .ShouldBe(["wwn-0x0000000000010001", "Saltpan_P8_TEST0002", "Tidepool_Stick_TEST0003", "eui.0000000000020001", "0x00000001"]);
    }

    [Fact]
    public void Older_forms_with_text_for_numbers_and_one_mount_point_are_read_the_same()
    {
        var disks = IntakeReader.Read(Sample("lsblk-old-strings.json")).Disks;

        disks[0]
            .ShouldBe(
                new Disk(
                    "wwn-0x0000000000010001",
                    "sda",
                    new ByteSize(240_057_409_536),
                    DiskKind.SataFlash,
                    ["/boot/efi", "/"],
                    "Tidepool S240"
                )
            );
        disks[1].Kind.ShouldBe(DiskKind.Spinning);
        disks[1].MountedAt.ShouldBe(["/srv"]);
    }

    [Fact]
    public void A_flat_list_finds_the_disk_under_an_encrypted_root()
    {
        var disk = IntakeReader.Read(Sample("lsblk-flat.json")).Disks.Single();
        disk.IsBoot.ShouldBeTrue();
        disk.Id.ShouldBe("sda");
    }

    [Fact]
    public void Rounded_sizes_are_taken_with_a_word_about_it()
    {
        var reading = IntakeReader.Read(Sample("lsblk-rounded.json"));
        reading.Disks.Single().Size.GiB.ShouldBe(931.5, 0.01);
        reading.Problems.Single().ShouldContain("run lsblk with -b");
    }

    [Fact]
    public void Ranges_of_memory_add_up_when_there_is_nothing_better()
    {
        IntakeReader.Read(Sample("lsmem-this-machine.json")).Memory.ShouldBe(new ByteSize(3_221_225_472 + 22_548_578_304));
        IntakeReader
            .Read(Sample("lsmem-this-machine.json") + Sample("meminfo-this-machine.txt"))
            .Memory.ShouldBe(new ByteSize(24_684_096L * 1024));
    }

    [Fact]
    public void The_kernels_kB_are_KiB() =>
        IntakeReader.Read("MemTotal:       16384000 kB\n").Memory.ShouldBe(new ByteSize(16_384_000L * 1024));

    [Theory]
    [InlineData("lscpu-nested.json")]
    [InlineData("lsblk-nested.json")]
    [InlineData("lsblk-old-strings.json")]
    [InlineData("meminfo-this-machine.txt")]
    public void One_part_alone_is_enough(string sample)
    {
        var reading = IntakeReader.Read(Sample(sample));
        reading.HasAnything.ShouldBeTrue();
        reading.Parts.Count.ShouldBe(1);
        reading.Problems.ShouldBeEmpty();
    }

    [Fact]
    public void Parts_may_come_in_any_order()
    {
        var parts = new[] { Sample("lscpu-nested.json"), Sample("lsblk-nested.json"), Sample("meminfo-this-machine.txt") };
        var expected = IntakeReader.Read(string.Concat(parts));
        foreach (var order in new int[][] { [2, 1, 0], [1, 0, 2], [0, 2, 1] })
        {
            var reading = IntakeReader.Read(string.Concat(order.Select(n => parts[n])));
            reading.Processor.ShouldBe(expected.Processor);
            reading.Memory.ShouldBe(expected.Memory);
            reading.Disks.ShouldBe(expected.Disks);
        }
    }

    [Fact]
    public void Line_ends_colours_prompts_and_other_lines_do_no_harm()
    {
        var text =
            "\u001b[32mpotter@kiln\u001b[0m:~$ lscpu -J\r\n"
            + Sample("lscpu-nested.json").Replace("\n", "\r\n")
            + "potter@kiln:~$ cat /proc/meminfo\r\n"
            + Sample("meminfo-this-machine.txt").Replace("\n", "\r\n")
            + "potter@kiln:~$ lsblk -J -b\r\n"
            + Sample("lsblk-nested.json").Replace("\n", "\r\n")
            + "potter@kiln:~$ exit\r\n";

        var reading = IntakeReader.Read(text);

        reading.Processor!.Cores.ShouldBe(8);
        reading.Memory.ShouldNotBeNull();
        reading.Disks.Count.ShouldBe(5);
        reading.Problems.ShouldBeEmpty();
    }

    [Fact]
    public void Half_a_file_keeps_what_is_whole_and_names_the_line()
    {
        var text = Sample("lsblk-nested.json");
        var half = text[..text.IndexOf("\"sdc\"", StringComparison.Ordinal)];

        var reading = IntakeReader.Read(half);

        reading.Disks.Select(d => d.Name).ShouldBe(["sda", "sdb"]);
        reading.Problems.Single().ShouldStartWith("line ");
        reading.Problems.Single().ShouldContain("what is whole before it was kept");
    }

    [Fact]
    public void A_part_cut_off_in_the_middle_does_not_swallow_the_next()
    {
        var text = Sample("lsblk-nested.json");
        var reading = IntakeReader.Read(
            text[..(text.Length / 2)] + "\n" + Sample("meminfo-this-machine.txt") + Sample("lscpu-nested.json")
        );

        reading.Memory.ShouldNotBeNull();
        reading.Processor!.Cores.ShouldBe(8);
        reading.Disks.ShouldNotBeEmpty();
        reading.Problems.Count().ShouldBe(1);
    }

    [Theory]
    [InlineData("", "nothing in it")]
    [InlineData("   \n\n ", "nothing in it")]
    [InlineData("hello there\nthis is a letter", "line 1: nothing here is the output of")]
    [InlineData("<!DOCTYPE html><html><body>no</body></html>", "web page")]
    [InlineData("{\"cats\": 3}", "JSON with «cats»")]
    [InlineData("{", "line ")]
    [InlineData("[1,2,3]", "line 1")]
    [InlineData("{\"lscpu\": 7}", "processor: none of the rows expected")]
    [InlineData("{\"lscpu\": [{\"field\": \"Architektur:\", \"data\": \"x86_64\"}]}", "LC_ALL=C")]
    [InlineData("{\"blockdevices\": []}", "no row of type «disk»")]
    [InlineData("{\"blockdevices\": [{\"name\":\"sda\",\"type\":\"disk\"}]}", "sda has no size")]
    [InlineData("MemTotal: lots kB", "«MemTotal» has no number")]
    [InlineData("MemTotal: 99999999999999999999999 kB", "«MemTotal» has no number")]
    public void What_is_not_an_output_gets_one_plain_message(string text, string says)
    {
        var reading = IntakeReader.Read(text);
        reading.HasAnything.ShouldBeFalse();
        reading.Problems.ShouldHaveSingleItem().ShouldContain(says);
    }

    [Theory]
    [InlineData(new byte[] { 0x50, 0x4B, 3, 4, 20, 0 }, "ZIP archive")]
    [InlineData(new byte[] { 0x1F, 0x8B, 8, 0 }, "gzip")]
    [InlineData(new byte[] { 0x89, 0x50, 0x4E, 0x47, 13, 10 }, "picture")]
    [InlineData(new byte[] { 0x25, 0x50, 0x44, 0x46, 0x2D }, "PDF")]
    [InlineData(new byte[] { 65, 0, 66, 0, 0, 0 }, "not text")]
    [InlineData(new byte[] { 0x3C, 0x68, 0x74, 0x6D, 0x6C, 0x3E }, "web page")]
    public void Foreign_files_are_named_for_what_they_are(byte[] bytes, string says) =>
        IntakeReader.Read(new MemoryStream(bytes)).Problems.ShouldHaveSingleItem().ShouldContain(says);

    [Fact]
    public void Of_fifty_megabytes_the_first_thirty_two_are_read()
    {
        using var stream = new EndlessStream(50L << 20);
        IntakeReader.Read(stream).Problems.ShouldContain(p => p.Contains("longer than 32"));
        stream.Given.ShouldBeLessThan(33L << 20);
    }

    [Fact]
    public void Text_saved_as_UTF_16_is_read_by_its_mark()
    {
        var bytes = Encoding.Unicode.GetPreamble().Concat(Encoding.Unicode.GetBytes(Sample("lscpu-nested.json"))).ToArray();
        IntakeReader.Read(new MemoryStream(bytes)).Processor!.Cores.ShouldBe(8);
    }

    [Fact]
    public void Hostile_names_are_kept_as_names_on_one_line()
    {
        var reading = IntakeReader.Read(
            "{\"blockdevices\":[{\"name\":\"<script>\\u0000\\n\\u202e\",\"type\":\"disk\",\"size\":1000,\"model\":\"a\\nb\"}]}"
        );
        reading.Disks.Single().Name.ShouldBe("<script>");
        reading.Disks.Single().Model.ShouldBe("ab");
    }

    [Theory]
    [InlineData("""{"blockdevices":[{"name":"sda","type":"disk","size":1000,"model":"\ud800","mountpoints":["\udfff","/srv"]}]}""", 1)]
    [InlineData("""{"\ud800":1}""", 0)]
    [InlineData("""{"lscpu":[{"field":"\ud800","data":"\udc00"}]}""", 0)]
    public void Halves_of_characters_are_left_out(string text, int disks)
    {
        var reading = IntakeReader.Read(text);
        reading.Disks.Count.ShouldBe(disks);
        reading.Disks.ShouldAllBe(d => d.MountedAt.Single() == "/srv");
    }

    [Fact]
    public void Two_disks_with_one_id_are_kept_apart()
    {
        var reading = IntakeReader.Read(
            "{\"blockdevices\":[{\"name\":\"sda\",\"type\":\"disk\",\"size\":1000,\"serial\":\"1\"},{\"name\":\"sdb\",\"type\":\"disk\",\"size\":1000,\"serial\":\"1\"}]}"
        );
        reading.Disks.Select(d => d.Id).ShouldBe(["1", "1-sdb"]);
    }

    [Fact]
    public void Deep_nesting_is_no_way_in()
    {
        var deep = "{\"blockdevices\":" + new string('[', 100_000);
        IntakeReader.Read(deep).HasAnything.ShouldBeFalse();
        IntakeReader.Read(string.Concat(Enumerable.Repeat("{\"a\":", 5_000))).HasAnything.ShouldBeFalse();
    }

    private static string Sample(string name) => Samples.Text(name);
}
