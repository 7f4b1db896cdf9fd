using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Kit;

public class ReadinessTests
{
    private static readonly DateOnly Day = new(2026, 11, 24);
    private static readonly HostId Kiln = new("kiln");

    [Fact]
    public void What_nobody_knows_is_asked_and_not_assumed()
    {
        var bare = new Host(Kiln, "kiln", "", new HostFacts(new Processor("x86_64", 1, 4, 8), ByteSize.FromGiB(16)), HostPlan.None);
        Lines(Small.Lab(bare)).ShouldAllBe(l => l.State == ReadinessState.Asked && l.Evidence == null);
    }

    [Fact]
    public void Every_rule_named_in_the_list_is_in_the_book_and_every_line_says_where_to_look()
    {
        var rules = RuleBook.Rules.Select(r => r.Info.Id).ToHashSet();
        foreach (var item in Readiness.Items)
        {
            item.Rules.ShouldBeSubsetOf(rules);
            item.Question.ShouldEndWith("?");
            item.LookFor.ShouldEndWith(".");
            item.Why.ShouldEndWith(".");
        }

        var covered = Readiness.Items.SelectMany(i => i.Rules).Append("kit.too-hot");
        RuleBook.Rules.Where(r => r.Info.Station == Station.Kit).Select(r => r.Info.Id).ShouldBe(covered, ignoreOrder: true);
    }

    [Theory]
    [InlineData("virtualisation")]
    [InlineData("isolation")]
    [InlineData("power-cut")]
    [InlineData("address")]
    [InlineData("battery-backup")]
    public void A_question_is_answered_with_yes_and_its_day_or_with_no(string item)
    {
        var lab = Small.Lab(
            new Host(Kiln, "kiln", "", new HostFacts(new Processor("x86_64", 1, 4, 8), ByteSize.FromGiB(16)), HostPlan.None)
        );

        var yes = Line(lab.With(KitEdits.Answer(Kiln, item, true, Day)), item);
        (yes.State, yes.Checked).ShouldBe((ReadinessState.Good, Day));
        var no = Line(lab.With(KitEdits.Answer(Kiln, item, true, Day)).With(KitEdits.Answer(Kiln, item, false, Day)), item);
        (no.State, no.Checked).ShouldBe((ReadinessState.Fault, null));
    }

    [Fact]
    public void A_fault_shows_its_findings_also_those_of_the_guests()
    {
        var lab = Small.Lab(Small.Host("kiln") with { NetworkPorts = 1 }).WithGuestOn(Small.Guest("gate", "router"), "kiln");
        var line = Line(lab, "network-ports");
        line.State.ShouldBe(ReadinessState.Fault);
        line.Findings.Single().Rule.Id.ShouldBe("kit.router-one-port");
    }

    [Fact]
    public void A_tick_is_a_day_and_can_be_taken_away()
    {
        var ticked = Small.Lab(Small.Host("kiln")).With(KitEdits.Tick(Kiln, "disk-age", Day));
        Line(ticked, "disk-age").Checked.ShouldBe(Day);
        Line(ticked.With(KitEdits.Tick(Kiln, "disk-age", null)), "disk-age").Checked.ShouldBeNull();
        Should.Throw<Refused>(() => ticked.With(KitEdits.Answer(Kiln, "disk-age", true, Day))).Message.ShouldContain("read from the host");
    }

    [Fact]
    [Trade]
    public void Old_firmware_is_looked_at_again_after_two_years_and_once_more_after_the_next_reading()
    {
        var host = Small.Host("kiln").With(new Hardware(Firmware: new Firmware(new DateOnly(2024, 1, 1)))) with { ReadOn = Day };
        var lab = Small.Lab(host);
        lab.Findings("kit.firmware-old").Count.ShouldBe(1);
        var looked = lab.With(KitEdits.Tick(Kiln, "firmware-date", Day.AddDays(1)));
        looked.Findings("kit.firmware-old").ShouldBeEmpty();
        looked.WithHost(Kiln, h => h with { ReadOn = Day.AddYears(1) }).Findings("kit.firmware-old").Count.ShouldBe(1);
        Small.Lab(host with { ReadOn = new DateOnly(2025, 12, 31) }).Findings("kit.firmware-old").ShouldBeEmpty("that is not two years");
    }

    [Fact]
    public void A_host_like_another_has_its_parts_but_neither_its_ids_nor_its_guests()
    {
        var kiln = Small
            .Host("kiln")
            .With(
                new Hardware(
                    Functions: [new PciFunction("0000:04:00.0", "0c03")],
                    Ports: [new NetworkPort("enp1s0", "02:00:5e:10:00:01", 1000)],
                    UsbDevices: [new UsbDevice("1-1")]
                )
            );
        var copy = Small.Lab(kiln).WithGuestOn(Small.Guest("notes"), "kiln").With(KitEdits.Copy(Kiln, "oven")).Hosts[1];

        (copy.Name, copy.Memory, copy.WasRead).ShouldBe(("oven", kiln.Memory, false));
        copy.Disks.Select(d => d.Id).ShouldBe(["oven-disk-1", "oven-disk-2"]);
        copy.Disks.ShouldAllBe(d => d.HasMadeUpId);
        copy.Pools.Single().DiskIds.ShouldBe(["oven-disk-2"]);
        copy.Hardware.Ports.Single().ShouldBe(new NetworkPort("enp1s0", null, 1000));
        copy.Hardware.UsbDevices.ShouldBeEmpty();
        KitFacts.OriginOf(copy, KitFacts.Find(copy, "memory/total")!).Text.ShouldBe("copied from kiln");
    }

    [Fact]
    public void What_was_measured_is_among_the_facts_in_words()
    {
        var inside = new Hardware(
            Temperatures: [new Temperature("Package", 46.5, 95)],
            DiskSpeeds: [new DiskSpeed("run", "randread", "4k", DataRate.FromBytes(113_359_567), 27_675.7)],
            LinkSpeeds: [new LinkSpeed("10.40.7.11", "10.40.7.12", new DataRate(941e6))]
        );
        var facts = KitFacts
            .Of(Small.Host("kiln").With(inside))
            .Where(f => f.Set is null)
            .DistinctBy(f => f.Label)
            .ToDictionary(f => f.Label, f => f.Value);
        facts["Package"].ShouldBe("46.5 °C, limit 95 °C");
        facts["run (randread 4k)"].ShouldBe("read 113\u202FMB/s, 27,676 a second");
        facts["10.40.7.11 → 10.40.7.12"].ShouldBe("941\u202FMbit/s");
    }

    [Theory]
    [InlineData(PoolLayout.Stripe, 2, 1, "restore it from its backup")]
    [InlineData(PoolLayout.Mirror, 3, 1, "it survives 1 more")]
    [InlineData(PoolLayout.StripedMirrors, 4, 1, "the next disk that fails")]
    [InlineData(PoolLayout.StripedMirrors, 4, 2, "if two of them were a pair")]
    [InlineData(PoolLayout.Parity2, 6, 1, "it survives 1 more")]
    [InlineData(PoolLayout.Parity3, 6, 3, "the next disk that fails")]
    public void What_is_left_of_a_pools_safety_is_said(PoolLayout layout, int disks, int missing, string says) =>
        new Pool("p", layout, PoolFamily.BlockArray, [.. Enumerable.Range(0, disks).Select(n => $"{n}")])
            .AfterLosing(missing)
            .ShouldContain(says);

    [Theory]
    [InlineData(9_600, "9.6\u202Fkbit/s", "1.2\u202FkB/s")]
    [InlineData(941e6, "941\u202FMbit/s", "118\u202FMB/s")]
    [InlineData(2.5e9, "2.5\u202FGbit/s", "313\u202FMB/s")]
    [InlineData(26.4e9, "26.4\u202FGbit/s", "3.3\u202FGB/s")]
    public void Rates_are_written_as_links_and_as_disks_are_spoken_of(double bits, string link, string disk)
    {
        new DataRate(bits).ToString().ShouldBe(link);
        new DataRate(bits).ToBytesString().ShouldBe(disk);
    }

    [Fact]
    public void A_card_goes_to_one_machine_of_its_host_only()
    {
        var kiln = Small.Host("kiln").With(new Hardware(Functions: [new PciFunction("0000:04:00.0", "0c03")]));
        var lab = Small
            .Lab(kiln, Small.Host("wren"))
            .WithGuestOn(Small.Guest("a"), "kiln")
            .WithGuestOn(Small.Guest("b"), "kiln")
            .WithGuestOn(Small.Guest("c", kind: GuestKind.SystemContainer), "kiln");

        var given = lab.With(KitEdits.HandOver(Kiln, "0000:04:00.0", new GuestId("a")))
            .With(KitEdits.HandOver(Kiln, "0000:04:00.0", new GuestId("b")));
        given.Guests.Select(g => g.Devices.Count).ShouldBe([0, 1, 0]);
        Should
            .Throw<Refused>(() => lab.With(KitEdits.HandOver(Kiln, "0000:04:00.0", new GuestId("c"))))
            .Message.ShouldContain("Only a machine");
        Should
            .Throw<Refused>(() => lab.With(KitEdits.HandOver(Kiln, "0000:09:00.0", new GuestId("a"))))
            .Message.ShouldContain("nothing at");
        var moved = GuestEdits.Place(new GuestId("b"), new HostId("wren"))(given);
        moved.Lab.Guest(new GuestId("b"))!.Devices.ShouldBeEmpty();
        moved.Sentence.ShouldEndWith("leaving 1 device behind");
    }

    [Fact]
    public void A_card_that_is_handed_over_is_named_in_the_steps_of_its_machine()
    {
        var kiln = Small.Host("kiln").With(new Hardware(Functions: [new PciFunction("0000:04:00.0", "0c03", "USB 3 card")]));
        var stands = Small.Lab(kiln);
        var draft = stands.WithGuestOn(Small.Guest("hearth"), "kiln").With(KitEdits.HandOver(Kiln, "0000:04:00.0", new GuestId("hearth")));
        var step = RunbookBuilder
            .Build(stands, draft)
            .Sections.Single()
            .Steps.Single(s => s.What == "Shut it down and hand its devices over");
        step.Values.ShouldContain(v => v.Label.EndsWith(", whole") && v.Value == "0000:04:00.0 USB 3 card");
        step.Values.ShouldContain(v => v.Value.StartsWith("off"));
    }

    [Fact]
    public void The_first_steps_of_a_host_go_from_firmware_to_a_copy_of_its_settings_and_name_the_disk_that_is_wiped()
    {
        var kiln = Small.Host("kiln").With(new Hardware(Ports: [new NetworkPort("enp1s0", "02:00:5e:10:00:01", Management: true)])) with
        {
            Pools = [],
        };
        var section = RunbookBuilder.Build(Lab.Empty("new"), Small.Lab(kiln)).Sections.Single();

        section
            .Steps.Select(s => s.What)
            .ShouldBe([
                "Set the firmware up",
                "Write the install medium",
                "Install onto kiln-boot",
                "Take the install medium out and restart",
                "Give it a fixed address",
                "Set the source of updates, update, restart",
                "Install the tools and read the host",
                "Say where alerts go",
                "Link the battery backup",
                "Keep a copy of its own settings",
            ]);
        section.Steps.ShouldAllBe(s => s.Check.Length > 0 && s.IfNot.Length > 0 && s.WayBack.Length > 0 && s.Minutes > 0);
        var install = section.Steps[2];
        install.Caution.ShouldBe("This wipes 1 disk: kiln-boot, 240\u202FGB, mounted at /.");
        install.Values.Where(v => v.Label == "leave alone").Single().Value.ShouldStartWith("kiln-data");
        section.Steps[4].Values.ShouldContain(v => v.Value.StartsWith("02:00:5e:10:00:01"));
    }

    private static IReadOnlyList<ReadinessLine> Lines(Lab lab)
    {
        var assessment = Assessment.Of(lab);
        return HostReadiness.Of(assessment, assessment.Hosts[0]);
    }

    private static ReadinessLine Line(Lab lab, string item) => Lines(lab).Single(l => l.Item.Id == item);
}
