using System.Diagnostics;
using System.Text.Json;
using Yuntak.Core.Shapes;

namespace Yuntak.Web.Tests.Cli;

/// <summary>The command line as a process of its own: answers, JSON shapes, how it ends.</summary>
public sealed class CommandTests : IDisposable
{
    private readonly TempFolder folder = new();

    [Fact]
    public void Intake_answers_with_host_and_parts()
    {
        var (ended, said, _) = Run(
            """{"lscpu":[{"field":"Architecture:","data":"x86_64"},{"field":"CPU(s):","data":"16"},{"field":"Thread(s) per core:","data":"2"},{"field":"Core(s) per socket:","data":"8"},{"field":"Socket(s):","data":"1"}]}""",
            "intake",
            "-",
            "--json"
        );

        ended.ShouldBe(0);
        var host = JsonDocument.Parse(said).RootElement.GetProperty("host");
        host.GetProperty("architecture").GetString().ShouldBe("x86_64");
        host.GetProperty("sockets").GetInt32().ShouldBe(1);
        host.GetProperty("cores").GetInt32().ShouldBe(8);
        host.GetProperty("threads").GetInt32().ShouldBe(16);
        host.GetProperty("effectiveCores").GetDouble().ShouldBe(10);
        host.GetProperty("memoryBytes").ValueKind.ShouldBe(JsonValueKind.Null);
        host.GetProperty("disks").GetArrayLength().ShouldBe(0);
        var part = JsonDocument.Parse(said).RootElement.GetProperty("parts")[0];
        part.GetProperty("part").GetString().ShouldBe("processor");
        part.GetProperty("read").GetInt32().ShouldBe(5);
        part.GetProperty("problems").GetArrayLength().ShouldBe(0);
    }

    [Fact]
    public void Intake_lists_each_disk()
    {
        var (_, said, _) = Run(
            """{"blockdevices":[{"name":"sda","type":"disk","size":"1000","rota":"1","wwn":"0x0000000000010001","mountpoint":"/srv"}]}""",
            "intake",
            "-",
            "--json"
        );
        var disk = JsonDocument.Parse(said).RootElement.GetProperty("host").GetProperty("disks")[0];
        disk.GetProperty("id").GetString().ShouldBe("wwn-0x0000000000010001");
        disk.GetProperty("sizeBytes").GetInt64().ShouldBe(1000);
        disk.GetProperty("kind").GetString().ShouldBe("spinning");
        disk.GetProperty("mountedAt")[0].GetString().ShouldBe("/srv");
    }

    [Fact]
    public void Intake_of_a_bundle_tells_everything_that_was_promised()
    {
        var (ended, said, _) = Run(null, "intake", Demo("kiln-bundle.txt"), "--json");

        ended.ShouldBe(0);
        var host = JsonDocument.Parse(said).RootElement.GetProperty("host");
        host.GetProperty("virtualisation").GetString().ShouldBe("on");
        host.GetProperty("isolation").GetString().ShouldBe("on");
        var graphics = host.GetProperty("functions").EnumerateArray().Single(f => f.GetProperty("address").GetString() == "0000:01:00.0");
        graphics.GetProperty("classCode").GetString().ShouldBe("0300");
        graphics.GetProperty("kind").GetString().ShouldBe("VGA");
        graphics.GetProperty("group").GetInt32().ShouldBe(1);
        graphics.GetProperty("driver").GetString().ShouldBe("simpledrm");
        graphics.GetProperty("reset").GetString().ShouldBe("bus");
        var stick = host.GetProperty("usb").EnumerateArray().Single(u => u.GetProperty("name").GetString() == "AI stick");
        stick.GetProperty("port").GetString().ShouldBe("4-1");
        stick.GetProperty("id").GetString().ShouldBe("f0f0:0201");
        stick.GetProperty("controller").GetString().ShouldBe("0000:04:00.0");
        var port = host.GetProperty("ports")[0];
        port.GetProperty("name").GetString().ShouldBe("enp5s0");
        port.GetProperty("mac").GetString().ShouldBe("02:00:5e:10:00:01");
        port.GetProperty("speedMbps").GetInt32().ShouldBe(2500);
        var disk = host.GetProperty("disks").EnumerateArray().Single(d => d.GetProperty("id").GetString() == "eui.0000000000020001");
        disk.GetProperty("hours").GetDouble().ShouldBe(7396);
        disk.GetProperty("wearPercent").GetDouble().ShouldBe(12);
        disk.GetProperty("health").GetString().ShouldBe("good");
    }

    [Fact]
    public void Intake_takes_a_host_over_into_a_lab_file_and_keeps_the_one_before()
    {
        var lab = folder.File("lab.yaml");
        File.Copy(Demo("saltmarsh-draft.yaml"), lab);

        var (ended, said, _) = Run(null, "intake", Demo("kiln-bundle.txt"), "--lab", lab, "--as", "kiln");

        ended.ShouldBe(0);
        said.ShouldContain("memory 64 → 80\u202FGiB");
        said.ShouldContain("clay misses 1 of its 6 disks");
        File.ReadAllText(lab).ShouldContain("memory: 80 GiB");
        File.ReadAllText(lab + ".before").ShouldBe(File.ReadAllText(Demo("saltmarsh-draft.yaml")));
        Run(null, "check", lab, "--json").Said.ShouldContain("kit.pool-degraded");
        Run(null, "intake", Demo("kiln-bundle.txt"), "--lab", lab).Said.ShouldContain("Nothing changed");
    }

    [Fact]
    public void Intake_makes_a_lab_that_is_not_there_yet()
    {
        var lab = folder.File("new.yaml");
        Run(null, "intake", Demo("kiln-bundle.txt"), "--lab", lab, "--as", "oven").Said.ShouldContain("host oven added");
        Run(null, "check", lab).Ended.ShouldBe(0);
    }

    [Theory]
    [InlineData("MemTotal: 16384000 kB", "does not say which processor")]
    [InlineData(
        "{\"lscpu\":[{\"field\":\"Architecture:\",\"data\":\"x86_64\"},{\"field\":\"CPU(s):\",\"data\":\"4\"}]}",
        "how much memory"
    )]
    public void Intake_into_a_lab_says_what_a_new_host_lacks(string text, string says)
    {
        var (ended, _, problem) = Run(text, "intake", "-", "--lab", folder.File("x.yaml"), "--as", "oven");
        ended.ShouldBe(2);
        problem.ShouldContain(says);
        File.Exists(folder.File("x.yaml")).ShouldBeFalse();
    }

    [Fact]
    public void Intake_needs_a_lab_to_name_a_host_in() =>
        Run("x", "intake", "-", "--as", "oven").Problem.ShouldContain("say which with --lab");

    [Fact]
    public void Intake_of_nothing_useful_ends_2_with_the_reason()
    {
        var (ended, said, problem) = Run("hello", "intake", "-");
        ended.ShouldBe(2);
        said.ShouldContain("nothing that describes a host");
        problem.ShouldContain("line 1");
    }

    [Fact]
    public void Check_ends_1_on_a_stop_and_lists_hosts_and_findings()
    {
        var (ended, said, _) = Run(null, "check", Demo("saltmarsh-draft.yaml"), "--json");

        ended.ShouldBe(1);
        var answer = JsonDocument.Parse(said).RootElement;
        var stop = answer.GetProperty("findings").EnumerateArray().First();
        stop.GetProperty("rule").GetString().ShouldBe("kit.virtualisation-off");
        stop.GetProperty("severity").GetString().ShouldBe("stop");
        stop.GetProperty("subject").GetString().ShouldBe("cellar");
        stop.GetProperty("text").GetString()!.ShouldContain("strongroom");
        var kiln = answer.GetProperty("hosts")[0];
        kiln.GetProperty("name").GetString().ShouldBe("kiln");
        kiln.GetProperty("memoryTotalBytes").GetInt64().ShouldBe(64L << 30);
        kiln.GetProperty("memoryCommittedBytes").GetInt64().ShouldBeInRange(20L << 30, 40L << 30);
        kiln.GetProperty("peakHour").GetInt32().ShouldBe(20);
        kiln.GetProperty("peakCores").GetDouble().ShouldBeInRange(8, 10);
        kiln.GetProperty("effectiveCores").GetDouble().ShouldBe(10);
    }

    [Fact]
    public void Size_answers_with_figures_reasons_and_working()
    {
        var (ended, said, _) = Run(null, "size", "camera-recorder", "cameras=4", "days=14", "--json");

        ended.ShouldBe(0);
        var size = JsonDocument.Parse(said).RootElement;
        size.GetProperty("vcpu").GetInt32().ShouldBe(1);
        size.GetProperty("memoryBytes").GetInt64().ShouldBe((long)(5 * (1L << 30)));
        size.GetProperty("overheadBytes").GetInt64().ShouldBe(8L << 20);
        size.GetProperty("systemDiskBytes").GetInt64().ShouldBe(8L << 30);
        size.GetProperty("bulkBytes").GetInt64().ShouldBe(2_419_200_000_000);
        size.GetProperty("busyCores").GetDouble().ShouldBe(0.7, 1e-9);
        size.GetProperty("megapixelsPerSecond").GetDouble().ShouldBe(0);
        size.GetProperty("acceleratorShare").GetDouble().ShouldBe(0.2, 1e-9);
        size.GetProperty("bandwidthBitsPerSecond").GetDouble().ShouldBe(16e6);
        size.GetProperty("recommendedKind").GetString().ShouldBe("app-stack");
        size.GetProperty("reasons").GetArrayLength().ShouldBeGreaterThan(0);
        size.GetProperty("working")
            .EnumerateArray()
            .ShouldAllBe(w => w.GetProperty("label").GetString()!.Length > 0 && w.GetProperty("result").GetString()!.Length > 0);
    }

    [Fact]
    public void A_host_that_is_read_stands_and_exactly_what_is_marked_stands()
    {
        var lab = folder.File("home.yaml");
        var bundle = Path.Combine(Repository.Root, "demo", "kiln-bundle.txt");
        Run(null, "intake", bundle, "--lab", lab, "--as", "tower").Ended.ShouldBe(0);
        File.ReadAllText(lab).ShouldContain("stands: true");
        Run(null, "runbook", lab, "--json").Said.ShouldContain("\"open\": 0");

        var anew = folder.File("anew.yaml");
        Run(null, "intake", bundle, "--lab", anew, "--as", "tower", "--to-build").Ended.ShouldBe(0);
        File.ReadAllText(anew).ShouldNotContain("stands: true");
        Run(null, "runbook", anew).Said.ShouldContain("say that it stands");
    }

    [Fact]
    public void Figures_are_said_with_the_digits_that_were_given_and_no_more()
    {
        Run(null, "size", "router", "line-rate=0.005").Problem.ShouldContain("0.01 to 25 Gbit/s; 0.005 was given.");
        var films = Run(null, "size", "media-library", "conversions-2160p=10", "software-encoding=0").Said;
        films.ShouldContain("1,925");
        films.ShouldNotContain("000000");
        films.ShouldNotContain("× 0 ", Case.Sensitive, "what a load of nothing adds is left out");
        Run(null, "size", "automation-hub", "cameras=4").Problem.ShouldContain("An automation hub is not asked about");
        var pool = Run(null, "pool", "6x4TB", "parity2", "--family", "cow", "--block", "512").Said;
        pool.ShouldContain("at 512\u202FB ");
        Run(null, "pool", "2 x 4 TB spinning", "mirror").Said.ShouldContain("mirror of 2 disks");
        Run(null, "pool", "6x4TB", "parity2").Said.ShouldContain("rarer than fire, theft or a slip (1 in ");
        Run(null, "layouts", "2x4TB,2x4TB:nvme-flash").Said.ShouldContain("None is recommended");
    }

    [Theory]
    [InlineData("machine", (150L << 20) + ((1280L << 20) / 256))]
    [InlineData("system-container", 16L << 20)]
    [InlineData("app-stack", 8L << 20)]
    public void Size_counts_the_overhead_of_the_kind_asked_for(string kind, long overhead) =>
        Run(null, "size", "wiki", "--kind", kind, "--json").Said.ShouldContain($"\"overheadBytes\": {overhead},");

    [Fact]
    public void Size_lists_every_profile_and_what_it_asks()
    {
        var profiles = JsonDocument.Parse(Run(null, "size", "--list", "--json").Said).RootElement.GetProperty("profiles");
        // The 23 of the handbook, the home for app stacks, and the one for what no other describes.
        profiles.GetArrayLength().ShouldBe(25);
        Run(null, "size", "--list").Said.ShouldContain("cameras: cameras (1 to 64, usually 4)");
    }

    [Fact]
    public void Size_answers_what_machines_started_over_the_network_need()
    {
        var size = JsonDocument.Parse(Run(null, "size", "network-boot", "images=2", "image=3", "--json").Said).RootElement;
        size.GetProperty("clientMemoryBytes").GetInt64().ShouldBeInRange(3_800_000_000, 4_400_000_000, "image + 1 GiB");
        size.GetProperty("fetchBytes").GetInt64().ShouldBe(3_000_000_000);
    }

    [Fact]
    public void Size_uses_a_profile_file_and_refuses_one_with_a_mistake()
    {
        var file = folder.File("mixer.yaml");
        const string Mixer = """
            yuntak-profiles: 1
            profiles:
              - id: pigment-mixer
                name: pigment mixer
                summary: Recipes for glazes.
                family: workshop
                advised: [app-stack]
                loads: [{ id: batches, label: Batches, says: "{0} batches", usual: 2, min: 0, max: 20 }]
                busy: [{ label: batch, amount: 0.5, per: [batches] }]
            """;
        File.WriteAllText(file, Mixer);
        var (ended, said, _) = Run(null, "size", "pigment-mixer", "batches=4", "--profiles", file, "--json");
        ended.ShouldBe(0);
        JsonDocument.Parse(said).RootElement.GetProperty("busyCores").GetDouble().ShouldBe(2);
        Run(null, "size", "--list", "--profiles", file).Said.ShouldContain("pigment-mixer: Recipes for glazes.");

        File.WriteAllText(file, Mixer.Replace("amount: 0.5", "amount: -1"));
        var refused = Run(null, "size", "pigment-mixer", "--profiles", file);
        refused.Ended.ShouldBe(2);
        refused.Problem.ShouldContain("line 9, profiles[0].busy[0].amount: «batch»: the amount is a number that is not negative");
        Run(null, "size", "wiki", "--profiles", folder.File("nowhere.yaml")).Ended.ShouldBe(2);
    }

    [Fact]
    public void Pool_answers_with_room_and_risk()
    {
        var (ended, said, _) = Run(null, "pool", "6x20TB", "parity1", "--family", "cow", "--json");
        ended.ShouldBe(0);
        var pool = JsonDocument.Parse(said).RootElement;
        pool.GetProperty("rawBytes").GetInt64().ShouldBe(120_000_000_000_000);
        pool.GetProperty("afterParityBytes").GetInt64().ShouldBe(100_000_000_000_000);
        pool.GetProperty("afterPaddingBytes").GetInt64().ShouldBe(96_000_000_000_000);
        pool.GetProperty("usableBytes").GetInt64().ShouldBe(96_000_000_000_000 - (128L << 30));
        pool.GetProperty("comfortBytes").GetInt64().ShouldBe((long)Math.Round(0.8 * (96_000_000_000_000 - (128L << 30))));
        pool.GetProperty("efficiency").GetDouble().ShouldBe(0.8, 1e-6);
        pool.GetProperty("survives").GetInt32().ShouldBe(1);
        pool.GetProperty("rebuildHours").GetDouble().ShouldBe(30.9, 0.05);
        pool.GetProperty("mttdlYears").GetDouble().ShouldBeGreaterThan(1000);
        pool.GetProperty("lossPerYear").GetDouble().ShouldBeInRange(1e-5, 1e-3);
        pool.GetProperty("warnings").GetArrayLength().ShouldBeGreaterThan(1);

        var mixed = JsonDocument.Parse(Run(null, "pool", "1x6TB,1x2TB,1x1.5TB", "dedicated1", "--json").Said).RootElement;
        mixed.GetProperty("usableBytes").GetInt64().ShouldBe(3_500_000_000_000);
        var groups = JsonDocument.Parse(Run(null, "pool", "12x4TB", "2*parity2", "--json").Said).RootElement;
        groups.GetProperty("usableBytes").GetInt64().ShouldBe(32_000_000_000_000);
        var old = JsonDocument.Parse(Run(null, "pool", "12x4TB", "2*parity2", "--age-years", "6", "--json").Said).RootElement;
        old.GetProperty("lossPerYear").GetDouble().ShouldBeGreaterThan(groups.GetProperty("lossPerYear").GetDouble());
        Run(null, "pool", "6x4TB", "mirrors").Said.ShouldContain("striped mirrors of 6 disks, block array");
    }

    [Fact]
    public void Layouts_marks_what_nothing_beats()
    {
        var (ended, said, _) = Run(null, "layouts", "6x20TB", "--price", "400", "--json");
        ended.ShouldBe(0);
        var layouts = JsonDocument.Parse(said).RootElement.GetProperty("layouts").EnumerateArray().ToList();
        layouts.Count(l => l.GetProperty("best").GetBoolean()).ShouldBeInRange(3, layouts.Count - 1);
        layouts.Count(l => l.GetProperty("recommended").GetBoolean()).ShouldBe(1);
        layouts.ShouldAllBe(l => l.GetProperty("pricePerUsableTB").GetDouble() >= 20);
        Run(null, "layouts", "6x20TB").Said.ShouldContain("← recommended");
    }

    [Theory]
    [InlineData("pool 0x2TB parity1", "is no disk")]
    [InlineData("pool 3x2TB parity3", "triple parity needs at least 4 disks; 3 are given.")]
    [InlineData("pool 3x20XB parity1", "not «20XB»")]
    [InlineData("pool 3x2TB parity9", "There is no layout «parity9»")]
    [InlineData("pool 3x2TB parity1 --family tape", "--family: one of array, cow belongs here, not «tape».")]
    [InlineData("pool 3x2TB dedicated1 --family cow", "Parity on a disk of its own is a block array")]
    [InlineData("pool 3x2TB parity1 --block 3", "--block is a size")]
    [InlineData("pool 3x2TB parity1 --age-years old", "--age-years is a number")]
    [InlineData("layouts 3x2TB --price much", "--price is a number")]
    [InlineData("layouts many", "a size such as 20TB")]
    public void Disks_and_layouts_that_make_no_sense_get_a_plain_message_and_end_2(string call, string says)
    {
        var (ended, _, problem) = Run(null, call.Split(' '));
        ended.ShouldBe(2);
        problem.ShouldContain(says);
    }

    [Theory]
    [InlineData("no-such", "There is no profile called «no-such»")]
    [InlineData("wiki pages=4", "pages")]
    [InlineData("camera-recorder cameras=many", "A load is written load=value")]
    [InlineData("camera-recorder cameras=400", "1 to 64")]
    [InlineData("wiki --kind box", "--kind: one of machine, system-container, app-stack belongs here")]
    public void Size_says_what_is_wrong_and_ends_2(string call, string says)
    {
        var (ended, said, problem) = Run(null, ["size", .. call.Split(' ')]);
        (ended, said).ShouldBe((2, ""));
        problem.ShouldContain(says);
    }

    [Fact]
    public void Check_ends_0_without_a_stop()
    {
        File.WriteAllText(
            folder.File("lab.yaml"),
            "yuntak: 1\nname: calm\nhosts:\n  - { name: a, processor: { cores: 4 }, memory: 8 GiB }\nguests: []\n"
        );
        Run(null, "check", folder.File("lab.yaml")).Ended.ShouldBe(0);
    }

    [Theory]
    [InlineData("yuntak: 1\nname: x\nhosts: []\nguests: []\ncolour: blue\n", "line 5, colour")]
    [InlineData("PK\u0003\u0004", "ZIP archive")]
    [InlineData("", "the file is empty")]
    public void Check_ends_2_when_the_file_cannot_be_read(string text, string says)
    {
        File.WriteAllText(folder.File("lab.yaml"), text);
        var (ended, said, problem) = Run(null, "check", folder.File("lab.yaml"));
        ended.ShouldBe(2);
        said.ShouldBeEmpty();
        problem.ShouldContain(says);

        var json = Run(null, "check", folder.File("lab.yaml"), "--json");
        json.Ended.ShouldBe(2);
        JsonDocument.Parse(json.Said).RootElement.GetProperty("problems")[0].GetString()!.ShouldContain(says);
    }

    [Fact]
    public void A_file_that_is_not_there_is_named()
    {
        var (ended, _, problem) = Run(null, "check", folder.File("nowhere.yaml"));
        ended.ShouldBe(2);
        problem.ShouldContain("nowhere.yaml cannot be opened");
        Run(null, "check", folder.Path).Problem.ShouldContain("is a folder");
    }

    [Theory]
    [InlineData("check")]
    [InlineData("check", "--no-such-option", "x")]
    [InlineData("no-such-verb")]
    public void A_call_that_is_not_understood_ends_2_in_plain_words(params string[] args)
    {
        var (ended, _, problem) = Run(null, args);
        ended.ShouldBe(2);
        problem.ShouldContain("./yuntak help lists the calls");
    }

    [Fact]
    public void Runbook_starts_from_nothing_or_from_what_stands()
    {
        var all = Run(null, "runbook", Demo("saltmarsh-draft.yaml"));
        all.Ended.ShouldBe(0);
        all.Said.ShouldStartWith("# Runbook: Saltmarsh Pottery");
        all.Said.ShouldContain("Make kiln ready");

        var rest = Run(null, "runbook", Demo("saltmarsh-draft.yaml"), "--from", Demo("saltmarsh-as-built.yaml"), "--json");
        var sections = JsonDocument.Parse(rest.Said).RootElement.GetProperty("sections");
        sections.GetArrayLength().ShouldBe(13);
        var stops = sections.EnumerateArray().First(s => s.GetProperty("title").GetString() == "Change glazelog on kiln");
        stops
            .GetProperty("steps")[0]
            .GetProperty("act")
            .GetProperty("type")
            .GetString()
            .ShouldBe("stop", "a stick that another guest has is not taken");
        sections[0].GetProperty("steps")[0].GetProperty("check").GetString().ShouldNotBeNullOrEmpty();
    }

    [Fact]
    public void Arrange_places_everybody_it_can_and_says_why_not_the_others()
    {
        var written = folder.File("arranged.yaml");
        var (ended, said, _) = Run(null, "arrange", Demo("saltmarsh-draft.yaml"), "--prefer", "even", "--write", written, "--json");

        ended.ShouldBe(1, "some have no place");
        var answer = JsonDocument.Parse(said).RootElement;
        answer.GetProperty("status").GetString().ShouldBe("optimal");
        foreach (var goal in answer.GetProperty("goals").EnumerateArray())
        {
            goal.GetProperty("name").GetString().ShouldNotBeNullOrEmpty();
            goal.GetProperty("value").GetDouble().ShouldBe(goal.GetProperty("bound").GetDouble());
        }

        var placed = answer.GetProperty("placements").EnumerateArray().ToList();
        var unplaced = answer.GetProperty("unplaced").EnumerateArray().ToList();
        (placed.Count + unplaced.Count).ShouldBe(11);
        placed.ShouldAllBe(p => p.GetProperty("host").GetString() != null && p.GetProperty("systemPool").GetString() != null);
        answer.GetProperty("moves").EnumerateArray().ShouldContain(m => m.GetProperty("guest").GetString() == "reelroom");
        unplaced
            .SelectMany(u => u.GetProperty("hosts").EnumerateArray())
            .ShouldAllBe(h => h.GetProperty("limit").GetString() != "" && h.GetProperty("smallestChange").GetString() != "");
        answer.GetProperty("seconds").GetDouble().ShouldBeLessThan(6);
        // What was written is arranged: nobody moves any more.
        var again = JsonDocument.Parse(Run(null, "arrange", written, "--prefer", "even", "--json").Said).RootElement;
        again.GetProperty("moves").GetArrayLength().ShouldBe(0);
    }

    [Fact]
    public void Arrange_ends_as_it_should_and_refuses_in_words()
    {
        var none = folder.File("none.yaml");
        File.WriteAllText(none, "yuntak: 1\nname: none\nhosts: []\nguests: []\n");
        Run(null, "arrange", none).Ended.ShouldBe(0);
        Run(null, "arrange", folder.File("missing.yaml")).Ended.ShouldBe(2);
        var (ended, _, problem) = Run(null, "arrange", Demo("saltmarsh-draft.yaml"), "--empty", "nowhere");
        ended.ShouldBe(2);
        problem.ShouldContain("no host called «nowhere»; there are kiln, wren, cellar");
        Run(null, "arrange", none, "--seconds", "0").Problem.ShouldContain("--seconds takes a number over 0");
        var emptied = Run(null, "arrange", Demo("saltmarsh-draft.yaml"), "--empty", "cellar", "--only-unplaced");
        emptied.Said.ShouldNotContain("reelroom: on no host → cellar");
    }

    [Fact]
    public void Wires_says_who_has_which_address_what_clashes_and_what_the_outside_reaches()
    {
        var answer = JsonDocument.Parse(Run(null, "wires", Demo("saltmarsh-draft.yaml"), "--json").Said).RootElement;
        var house = answer.GetProperty("networks").EnumerateArray().Single(n => n.GetProperty("name").GetString() == "household");
        house.GetProperty("prefix").GetString().ShouldBe("10.40.7.0/24");
        house.GetProperty("nextFree").GetString().ShouldBe("10.40.7.2");
        var hearth = house.GetProperty("addresses").EnumerateArray().Single(a => a.GetProperty("who").GetString() == "hearth");
        (hearth.GetProperty("address").GetString(), hearth.GetProperty("how").GetString()).ShouldBe(("10.40.7.30", "reserved"));
        var clash = answer.GetProperty("clashes").EnumerateArray().Single();
        (
            clash.GetProperty("address").GetString(),
            clash.GetProperty("protocol").GetString(),
            clash.GetProperty("port").GetInt32()
        ).ShouldBe(("10.40.7.11", "tcp", 443));
        clash.GetProperty("who").EnumerateArray().Select(w => w.GetString()).ShouldBe(["signpost", "kiln"]);
        var way = answer.GetProperty("exposed").EnumerateArray().Single();
        (way.GetProperty("who").GetString(), way.GetProperty("port").GetInt32(), way.GetProperty("clear").GetBoolean()).ShouldBe(
            ("pressbook", 80, true)
        );
        way.GetProperty("path").EnumerateArray().Select(p => p.GetString()).ShouldBe(["outside:80", "gatehouse", "pressbook:80"]);
        var link = answer.GetProperty("links").EnumerateArray().Single();
        link.GetProperty("goodputBitsPerSecond").GetDouble().ShouldBe(2.5e9 * 1460 / 1538, 1);
        answer.GetProperty("listeners").EnumerateArray().ShouldContain(l => l.GetProperty("port").GetInt32() == 8140);

        Run(null, "wires", Demo("saltmarsh-draft.yaml")).Said.ShouldContain("clash: 443/tcp on kiln: signpost, kiln");
        Run(null, "export", Demo("saltmarsh-draft.yaml"), "--fstab", "glazelog")
            .Said.ShouldContain("10.40.7.13:/vault/attic /srv/attic nfs ro");
        Run(null, "export", Demo("saltmarsh-draft.yaml"), "--units", "glazelog").Said.ShouldContain("Where=/srv/attic");
        Run(null, "export", Demo("saltmarsh-draft.yaml"), "--exports", "cellar")
            .Said.ShouldBe("/vault/attic 10.40.7.24(ro,sync,no_subtree_check,root_squash)\n");
        var nobody = Run(null, "export", Demo("saltmarsh-draft.yaml"), "--fstab", "nobody");
        (nobody.Ended, nobody.Problem).ShouldBe((2, $"{Demo("saltmarsh-draft.yaml")} has no guest called «nobody».\n"));
        Run(null, "export", Demo("saltmarsh-draft.yaml"), "--zone", "a b").Ended.ShouldBe(2);
    }

    [Fact]
    public void Devices_says_what_hangs_together_and_what_becomes_of_each_claim()
    {
        var text = File.ReadAllText(Demo("saltmarsh-draft.yaml"))
            .Replace(
                "claims: [{ need: video-encoder, way: node, device: \"0000:01:00.0\", mapped: true }]",
                "claims: [{ need: video-encoder }, { need: radio-stick, way: usb-port, device: \"9-9\" }]",
                StringComparison.Ordinal
            );
        var lab = folder.File("claims.yaml");
        File.WriteAllText(lab, text);

        var answer = JsonDocument.Parse(Run(null, "devices", lab, "--json").Said).RootElement;
        var kiln = answer.GetProperty("hosts")[0];
        kiln.GetProperty("groups")
            .EnumerateArray()
            .Single(g => g.GetProperty("group").GetInt32() == 4)
            .GetProperty("neededByHost")
            .GetArrayLength()
            .ShouldBe(1);
        kiln.GetProperty("usb")
            .EnumerateArray()
            .Single(u => u.GetProperty("port").GetString() == "4-1")
            .GetProperty("controller")
            .GetString()
            .ShouldBe("0000:04:00.0");
        var claims = answer.GetProperty("claims").EnumerateArray().Where(c => c.GetProperty("guest").GetString() == "lantern").ToList();
        claims.Select(c => c.GetProperty("verdict").GetString()).ShouldBe(["collateral", "impossible"], "its driver only shows a picture");
        claims[0].GetProperty("way").GetString().ShouldBe("node");
        claims[1].GetProperty("reasons").GetArrayLength().ShouldBeGreaterThan(0);

        var assigned = JsonDocument.Parse(Run(null, "devices", lab, "--assign", "--json").Said).RootElement;
        assigned.GetProperty("optimal").GetBoolean().ShouldBeTrue();
        assigned
            .GetProperty("assignment")
            .EnumerateArray()
            .Single(a => a.GetProperty("guest").GetString() == "lantern")
            .GetProperty("device")
            .GetString()
            .ShouldBe("0000:01:00.0");
        var unmet = assigned.GetProperty("unmet").EnumerateArray().Single(u => u.GetProperty("guest").GetString() == "lantern");
        unmet.GetProperty("host").GetString().ShouldBe("kiln");
        unmet.GetProperty("reason").GetString()!.ShouldContain("9-9");
        unmet.GetProperty("smallestChange").GetString().ShouldNotBeNullOrEmpty();
        Run(null, "devices", lab, "--assign").Said.ShouldContain("smallest change: ");

        Run(null, "devices", lab, "--host", "wren").Said.ShouldContain("the battery backup is linked to it");
        Run(null, "devices", lab, "--host", "nobody").Problem.ShouldContain("nobody");
        Run(null, "devices").Problem.ShouldContain("--before");
        const string Bus = "/sys/bus/usb/devices/usb4 -> ../../../devices/pci0000:00/0000:04:00.0/usb4\n";
        const string Stick =
            "/sys/bus/usb/devices/4-1 -> ../../../devices/pci0000:00/0000:04:00.0/usb4/4-1\n/sys/bus/usb/devices/4-1/product:AI stick\n";
        var (before, after) = (folder.File("before.txt"), folder.File("after.txt"));
        File.WriteAllText(before, Bus);
        File.WriteAllText(after, Bus + Stick);
        Run(null, "devices", "--before", before, "--after", after).Said.ShouldContain("AI stick came at port 4-1, controller 0000:04:00.0");
        Run(null, "devices", "--before", after, "--after", after).Said.ShouldContain("Nothing came");
    }

    [Fact]
    public void Export_writes_the_lab_and_its_Compose_file()
    {
        Run(null, "export", Demo("saltmarsh-draft.yaml"), "--json").Said.ShouldContain("\"name\": \"Saltmarsh Pottery\"");
        Run(null, "export", Demo("saltmarsh-draft.yaml"), "--compose").Problem.ShouldContain("One file is for one engine");
        Run(null, "export", Demo("saltmarsh-draft.yaml"), "--compose", "--host", "kiln").Said.ShouldContain("pressbook:");
        Run(null, "export", Demo("saltmarsh-draft.yaml"), "--compose", "--host", "wren").Said.ShouldContain("bootpost:");
        var one = JsonDocument
            .Parse(Run(null, "export", Demo("saltmarsh-draft.yaml"), "--compose", "--guest", "signpost", "--json").Said)
            .RootElement.GetProperty("files");
        one.GetArrayLength().ShouldBe(1);
        one[0].GetProperty("path").GetString().ShouldBe("signpost/compose.yaml");
        Run(null, "export", Demo("saltmarsh-draft.yaml"), "--compose", "--guest", "lantern")
            .Problem.ShouldContain("no app stack called «lantern»");
    }

    [Fact]
    public void What_is_exported_checks_the_same()
    {
        File.WriteAllText(folder.File("lab.json"), Run(null, "export", Demo("saltmarsh-draft.yaml"), "--json").Said);
        Run(null, "check", folder.File("lab.json"), "--json")
            .Said.ShouldBe(Run(null, "check", Demo("saltmarsh-draft.yaml"), "--json").Said);
    }

    public void Dispose() => folder.Dispose();

    [Fact]
    public void The_runbook_as_JSON_gives_for_each_step_its_act_what_it_wipes_and_whom_it_stops()
    {
        var draft = Demo("saltmarsh-draft.yaml");
        var (ended, said, _) = Run(null, "runbook", draft, "--from", Demo("saltmarsh-as-built.yaml"), "--json");

        ended.ShouldBe(0);
        var steps = JsonDocument
            .Parse(said)
            .RootElement.GetProperty("sections")
            .EnumerateArray()
            .SelectMany(s => s.GetProperty("steps").EnumerateArray())
            .ToList();
        // A test machine gets no autostart, backup or restore.
        steps.Count.ShouldBe(37);
        foreach (var step in steps)
        {
            step.GetProperty("act").GetProperty("type").GetString().ShouldNotBeNullOrEmpty();
            step.GetProperty("wipes").ValueKind.ShouldBe(JsonValueKind.Array);
            step.GetProperty("stops").ValueKind.ShouldBe(JsonValueKind.Array);
        }

        var figures = steps.First(s => s.GetProperty("act").GetProperty("type").GetString() == "set-figures");
        figures.GetProperty("stops")[0].GetString().ShouldBe("lantern");
        figures.GetProperty("wipes").GetArrayLength().ShouldBe(0);

        List<JsonElement> Acts(string lab, string type) =>
            [
                .. JsonDocument
                    .Parse(Run(lab, "runbook", "-", "--json").Said)
                    .RootElement.GetProperty("sections")
                    .EnumerateArray()
                    .SelectMany(s => s.GetProperty("steps").EnumerateArray())
                    .Where(s => s.GetProperty("act").GetProperty("type").GetString() == type),
            ];
        var text = File.ReadAllText(draft);
        Acts(text, "install-host").ShouldBeEmpty("hosts that were read run; nobody said that their disks may be wiped");
        Acts(text, "stop").Count(s => s.GetProperty("what").GetString()!.Contains("Install onto")).ShouldBe(3);
        var installs = Acts(
            text.Replace("mounted-at: [/, /boot/efi]", "mounted-at: [/, /boot/efi], may-be-wiped: 2026-11-20", StringComparison.Ordinal),
            "install-host"
        );
        installs.Count.ShouldBe(3);
        installs.ShouldAllBe(s => s.GetProperty("wipes").GetArrayLength() == 1);
        installs.ShouldAllBe(s => s.GetProperty("wipes")[0].GetString() == s.GetProperty("act").GetProperty("onto").GetString());
    }

    private static string Demo(string file) => Path.Combine(Repository.Root, "demo", file);

    private static (int Ended, string Said, string Problem) Run(string? input, params string[] args) => CommandLine.Run(input, args);
}
