using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Kit;

/// <summary>Reading a host again: what came, went and changed, and what that does.</summary>
public class HostUpdateTests
{
    private static readonly DateOnly Day = new(2026, 11, 24);
    private static readonly HostId Kiln = new("kiln");

    [Fact]
    public void The_same_host_read_again_changes_nothing()
    {
        var lab = Lab();
        var update = Of(lab, Again(lab.Hosts[0]));
        update.Changes.ShouldBeEmpty();
        update.Effects.ShouldBeEmpty();
        update.Verdict.Came.ShouldBeEmpty();
    }

    [Fact]
    public void A_disk_gone_memory_added_and_a_stick_are_told_in_words()
    {
        var lab = Lab();
        var host = lab.Hosts[0];
        var reading = Again(host) with
        {
            Memory = ByteSize.FromGiB(80),
            Disks = [.. host.Disks.Where(d => d.Id != "p0")],
            Hardware = host.Hardware with { UsbDevices = [new UsbDevice("1-2", "f0f0:0101", "Radio stick")] },
        };

        var update = Of(lab, reading);

        Texts(update, Happened.Came).ShouldBe(["USB Radio stick at port 1-2 added"]);
        Texts(update, Happened.Went).ShouldBe(["disk sd0, 4\u202FTB spinning gone"]);
        Texts(update, Happened.Changed).ShouldBe(["memory 64 → 80\u202FGiB"]);
        update.Effects.ShouldBe(["vault misses 1 of its 3 disks: the next disk that fails takes all of it. On it: films."]);
        update.Verdict.Came.Select(f => f.Rule.Id).ShouldContain("kit.pool-degraded");
    }

    [Fact]
    public void Disks_that_only_changed_their_letters_are_the_same_disks()
    {
        var lab = Lab();
        var host = lab.Hosts[0];
        var reading = Again(host) with { Disks = [.. host.Disks.Select(d => d with { Name = "sdz" + d.Name })] };
        var update = Of(lab, reading);
        update.Changes.ShouldAllBe(c => c.Kind == Happened.Changed && c.Text.Contains("is now called"));
        update.Effects.ShouldBeEmpty();
        update.After.Pools.ShouldBe(host.Pools);
    }

    [Fact]
    public void Parts_that_were_not_in_the_text_stay_as_they_are()
    {
        var lab = Lab();
        var only = new HostReading(null, ByteSize.FromGiB(32), [], [new PartReading(KitParts.Memory, 1, [])]);
        var after = Of(lab, only).After;
        after.Memory.ShouldBe(ByteSize.FromGiB(32));
        after.Disks.ShouldBe(lab.Hosts[0].Disks);
        after.Hardware.ShouldBe(lab.Hosts[0].Hardware);
        after.Processor.ShouldBe(lab.Hosts[0].Processor);
    }

    [Fact]
    public void Health_alone_finds_the_disks_that_are_known()
    {
        var reading = new HostReading(null, null, [], [new PartReading(KitParts.Health, 1, [])])
        {
            OtherHealth = [new HealthReading("sd9", ["p1"], new DiskHealth(true, 3), 50_000)],
        };
        var update = Of(Lab(), reading);
        update.After.Disks.Single(d => d.Id == "p1").HoursRun.ShouldBe(50_000);
        update.Changes.Select(c => c.Text).ShouldBe(["disk sd1 health unknown → sectors lost"]);
    }

    [Fact]
    public void Disks_typed_in_by_hand_take_the_ids_of_those_that_are_read_and_stay_in_their_pools()
    {
        var typed = Small.Host("kiln") with
        {
            Disks =
            [
                new Disk("kiln-disk-1", "disk 1", ByteSize.FromGB(240), DiskKind.SataFlash, ["/"]),
                new Disk("kiln-disk-2", "disk 2", ByteSize.FromTB(4), DiskKind.Spinning),
                new Disk("kiln-disk-3", "disk 3", ByteSize.FromTB(4), DiskKind.Spinning),
            ],
            Pools = [new Pool("bulk", PoolLayout.Mirror, PoolFamily.CopyOnWrite, ["kiln-disk-2", "kiln-disk-3"])],
        };
        var reading = Again(typed) with
        {
            Disks =
            [
                new Disk("wwn-0x1", "sda", new ByteSize(240_057_409_536), DiskKind.SataFlash, ["/"]),
                new Disk("wwn-0x2", "sdb", new ByteSize(4_000_787_030_016), DiskKind.Spinning),
                new Disk("wwn-0x3", "sdc", new ByteSize(4_000_787_030_016), DiskKind.Spinning),
            ],
        };

        var after = Of(Small.Lab(typed), reading).After;

        after.Pools.Single().DiskIds.ShouldBe(["wwn-0x2", "wwn-0x3"]);
        after.DisksOf(after.Pools[0]).Count().ShouldBe(2);
    }

    [Fact]
    public void A_device_that_a_machine_was_handed_and_that_is_gone_is_named()
    {
        var lab = Lab().With(KitEdits.HandOver(Kiln, "0000:04:00.0", new GuestId("films")));
        var reading = Again(lab.Hosts[0]) with { Hardware = new Hardware(Functions: [new PciFunction("0000:00:14.0", "0c03")]) };
        Of(lab, reading).Effects.ShouldBe(["films is handed 0000:04:00.0, which is gone."]);
    }

    [Fact]
    public void What_somebody_corrected_stays_and_goes_once_the_tools_agree()
    {
        var lab = Lab().With(KitEdits.Correct(Kiln, "disks/p1/hours", "12345", Day));
        var note = KitFacts.CorrectionOf(lab.Hosts[0], "disks/p1/hours")!;
        (note.Origin, note.Text).ShouldBe((Origin.Entered, ""));

        HostReading Read(double hours) =>
            Again(lab.Hosts[0]) with
            {
                Disks = [.. lab.Hosts[0].Disks.Select(d => d.Id == "p1" ? d with { HoursRun = hours } : d)],
            };
        var still = Of(lab, Read(99)).After;
        still.Disks.Single(d => d.Id == "p1").HoursRun.ShouldBe(12_345);
        KitFacts.CorrectionOf(still, "disks/p1/hours")!.Text.ShouldBe("99", "what the tools say stays in sight");
        KitFacts.CorrectionOf(Of(lab, Read(12_345)).After, "disks/p1/hours").ShouldBeNull();
    }

    [Fact]
    public void A_switch_that_was_said_to_be_on_is_believed_only_until_it_is_read()
    {
        var lab = Lab().With(KitEdits.Correct(Kiln, "processor/virtualisation", "yes", Day));
        var off = Again(lab.Hosts[0]) with { Processor = lab.Hosts[0].Processor with { Virtualisation = false } };
        Of(lab, off).After.Processor.Virtualisation.ShouldBe(false);
    }

    [Fact]
    public void A_correction_can_be_dropped_and_the_tools_count_again()
    {
        var lab = Lab();
        var corrected = lab.With(KitEdits.Correct(Kiln, "memory/total", "60 GiB", Day));
        corrected.Hosts[0].Memory.ShouldBe(ByteSize.FromGiB(60));
        corrected.With(KitEdits.DropCorrection(Kiln, "memory/total")).ShouldBe(lab);
    }

    [Theory]
    [InlineData("memory/total", "lots", "such as «4 GiB»")]
    [InlineData("processor/cores", "0", "a whole number from 1 to 4,096")]
    [InlineData("disks/p1/kind", "floppy", "Here belongs kind")]
    [InlineData("disks/p1/id", "x", "is read, not typed")]
    [InlineData("disks/nothing/hours", "1", "no longer has")]
    public void A_correction_that_makes_no_sense_is_refused_in_words(string fact, string text, string says) =>
        Should.Throw<Refused>(() => Lab().With(KitEdits.Correct(Kiln, fact, text, Day))).Message.ShouldContain(says);

    [Fact]
    public void Every_fact_that_can_be_set_takes_back_what_it_shows()
    {
        Gens.AnyLab.Holds(
            lab =>
            {
                foreach (var host in lab.Hosts)
                {
                    foreach (var fact in KitFacts.Of(host).Where(f => f is { Set: not null, Value.Length: > 0 }))
                    {
                        KitFacts.Find(fact.Set!(host, fact.Value!), fact.Key)!.Value.ShouldBe(fact.Value, fact.Key);
                    }
                }
            },
            iter: 60
        );
    }

    [Fact]
    public void The_host_a_reading_is_of_is_found_by_its_disks_then_by_its_name()
    {
        var lab = Small.Lab(Small.Host("kiln"), Small.Host("wren"));
        var reading = new HostReading(null, null, [.. lab.Hosts[1].Disks], []) { HostName = "kiln" };
        HostMatch.Find(lab, reading)!.Name.ShouldBe("wren", "disks tell more than a name");
        HostMatch.Find(lab, reading with { Disks = [] })!.Name.ShouldBe("kiln");
        HostMatch.Find(lab, reading with { Disks = [], HostName = null }).ShouldBeNull();
        HostMatch
            .Find(lab, reading with { Disks = [new Disk("sda", "sda", ByteSize.FromGB(1), DiskKind.Spinning)], HostName = "shed" })
            .ShouldBeNull();
    }

    [Fact]
    public void Accepting_is_one_change_that_can_be_undone_by_going_back()
    {
        var lab = Lab();
        var reading = Again(lab.Hosts[0]) with { Memory = ByteSize.FromGiB(80) };
        var changed = KitEdits.Accept(Kiln, reading)(lab);
        changed.Sentence.ShouldBe("kiln read again: memory 64 → 80\u202FGiB");
        changed.Lab.Hosts[0].Memory.ShouldBe(ByteSize.FromGiB(80));
    }

    /// <summary>A host with a parity pool, a machine on it, and cards.</summary>
    private static Lab Lab()
    {
        var host = Small.Host("kiln", 64) with
        {
            Disks =
            [
                .. Small.Host("kiln").Disks,
                .. Enumerable.Range(0, 3).Select(n => new Disk($"p{n}", $"sd{n}", ByteSize.FromTB(4), DiskKind.Spinning)),
            ],
            Pools = [.. Small.Host("kiln").Pools, new Pool("vault", PoolLayout.Parity1, PoolFamily.BlockArray, ["p0", "p1", "p2"])],
        };
        host = host.With(
            new Hardware(
                Functions: [new PciFunction("0000:00:14.0", "0c03"), new PciFunction("0000:04:00.0", "0c03")],
                UsbBuses: [new UsbBus(1, "0000:00:14.0", 4)]
            )
        );
        return Small
            .Lab(host)
            .WithGuestOn(Small.Guest("films", "media-library", GuestKind.Machine, new LoadValue("library", 3)), "kiln")
            .With(GuestEdits.UsePools(new GuestId("films"), "ember", "vault"));
    }

    /// <summary>What the host's tools say when nothing has changed.</summary>
    private static HostReading Again(Host host) =>
        new(
            host.Processor,
            host.Memory,
            [.. host.Disks],
            [
                .. new[] { KitParts.Processor, KitParts.Memory, KitParts.Disks, KitParts.Cards, KitParts.Usb }.Select(p => new PartReading(
                    p,
                    1,
                    [],
                    1
                )),
            ]
        )
        {
            Hardware = host.Hardware,
            On = Day,
        };

    private static HostUpdate Of(Lab lab, HostReading reading) => HostUpdate.Of(Assessment.Of(lab), lab.Hosts[0], reading);

    private static IEnumerable<string> Texts(HostUpdate update, Happened kind) =>
        update.Changes.Where(c => c.Kind == kind).Select(c => c.Text);
}
