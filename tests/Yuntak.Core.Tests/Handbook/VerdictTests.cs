using CsCheck;
using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Handbook;

/// <summary>Verdicts that an audit from outside found wrong, one by one; chapters 3, 5 and 6 of the handbook.</summary>
public class VerdictTests
{
    private const string Usb = "0000:04:00.0";

    [Fact]
    [Trade]
    public void A_machine_with_a_whole_device_is_pinned_and_cannot_shrink()
    {
        var host = Small.Host("kiln", 16).With(new Hardware(Functions: [new PciFunction(Usb, "0c03")], Isolation: true));
        Guest Big(string name, double gib) =>
            Small.Guest(name) with
            {
                Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(gib)),
                MayShrinkTo = ByteSize.FromGiB(2),
            };
        var lab = Small
            .Lab(host)
            .WithGuestOn(Big("hub", 12), "kiln")
            .WithGuestOn(Small.Guest("more") with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(8)) }, "kiln");
        lab.Findings("bench.memory-over").ShouldBeEmpty("it gives memory back");
        var pinned = lab.With(KitEdits.HandOver(new HostId("kiln"), Usb, new GuestId("hub")));
        pinned.Findings("bench.memory-over").Count.ShouldBe(1);
        pinned.Findings("wants.pinned-cannot-shrink").Single().Text.ShouldContain("12");
        Assessment.Of(pinned).Hosts[0].Fit.ShouldBe(Fit.Over);
    }

    [Fact]
    [Trade]
    public void The_read_cache_yields_before_anything_stops()
    {
        // 16 GiB: base 1.5, cache 4 or under pressure 1, and a machine of 12 GiB with its overhead: 17.7 wanted, 14.7 hard.
        var host = Small.Host("kiln", 16) with
        {
            Pools = [new Pool("ember", PoolLayout.Single, PoolFamily.CopyOnWrite, ["kiln-data"])],
        };
        Lab With(double gib) =>
            Small.Lab(host).WithGuestOn(Small.Guest("big") with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(gib)) }, "kiln");
        var tight = With(12);
        tight.Findings("bench.memory-over").ShouldBeEmpty();
        tight.Findings("bench.memory-tight").Single().Text.ShouldContain("has to yield");
        Assessment.Of(tight).Hosts[0].Memory.Fit.ShouldBe(Fit.Tight);
        With(14).Findings("bench.memory-over").Count.ShouldBe(1);
        // On a small host the floor is a sixteenth of its memory.
        Assessment.Of(Small.Lab(host with { Memory = ByteSize.FromGiB(8) })).Hosts[0].Memory.CacheFloor.ShouldBe(ByteSize.FromMiB(512));
    }

    [Fact]
    public void What_the_pool_command_warns_of_is_what_the_rule_says()
    {
        (
            from layout in Gen.Enum<PoolLayout>()
            from sizes in Pick.From(4.0, 7.9, 8, 12).Array[3, 8]
            from flash in Gen.Bool
            from years in Pick.From(0.0, 4.9, 5, 5.1)
            from groups in Gen.Int[1, 2]
            where layout != PoolLayout.Single && sizes.Length >= layout.FewestDisks() * groups
            select (layout, sizes, flash, years, groups)
        ).Holds(
            sample =>
            {
                var (layout, sizes, flash, years, groups) = sample;
                var kind = flash ? DiskKind.SataFlash : DiskKind.Spinning;
                Disk[] disks = [.. sizes.OrderDescending().Select((s, n) => new Disk($"p{n}", $"sd{n}", ByteSize.FromTB(s), kind))];
                var family = PoolFamily.BlockArray;
                var plan = PoolPlan.Of(layout, groups, family, [.. disks.Select(DiskSpec.Of)], ageYears: years);
                var host = Small.Host("kiln");
                host = host with
                {
                    Disks = [.. host.Disks, .. disks],
                    Pools = [new Pool("vault", layout, family, [.. disks.Select(d => d.Id)], Groups: groups, AgeYears: years)],
                };
                var warned = plan.Warnings().Any(w => w.StartsWith("Single parity"));
                (Small.Lab(host).Findings("disks.thin-parity").Count > 0).ShouldBe(warned, $"{plan.Words}, {years} years, {kind}");
            },
            iter: 500
        );
    }

    [Theory]
    [Trade]
    [InlineData("3x8TB:nvme-flash", "parity1", false)]
    [InlineData("3x8TB", "parity1", true)]
    [InlineData("5x4TB", "dedicated1", true)]
    [InlineData("8x4TB", "2*parity1", false)]
    [InlineData("10x4TB", "2*parity1", true)]
    public void Parity_advice_goes_by_group_counts_dedicated_parity_and_spares_flash(string disks, string layout, bool warns)
    {
        var (kind, groups) = DiskText.Layout(layout);
        PoolPlan
            .Of(kind, groups, PoolFamily.BlockArray, DiskText.Disks(disks))
            .Warnings()
            .Any(w => w.StartsWith("Single parity"))
            .ShouldBe(warns);
    }

    [Theory]
    [Trade]
    [InlineData("6x4TB", 0, "From 5 disks on")]
    [InlineData("4x4TB", 6, "Past five years")]
    [InlineData("4x8TB", 0, "a second failure during them loses nothing")]
    public void The_reason_given_is_the_one_that_applied(string disks, double years, string says)
    {
        var found = LayoutChooser.For(DiskText.Disks(disks), ageYears: years).Single(c => c.Recommended);
        var reasons = LayoutChooser.Reasons(found.Plan).ToList();
        reasons.ShouldContain(r => r.Contains(says));
        reasons.Count(r => r.Contains("two parity disks") || r.Contains("loses nothing")).ShouldBe(1);
    }

    [Fact]
    public void Five_equal_disks_are_not_called_different()
    {
        var plan = PoolPlan.Of(PoolLayout.StripedMirrors, 1, PoolFamily.BlockArray, DiskText.Disks("5x8TB"));
        plan.Warnings().ShouldNotContain(w => w.Contains("different sizes"));
        plan.Warnings().ShouldContain(w => w.Contains("one has no partner"));
    }

    [Fact]
    [Trade]
    public void Pools_that_hold_guest_disks_have_one_name_also_where_nobody_said_what_they_are_for()
    {
        var other = Small.Host("wren") with { Pools = [new Pool("quick", PoolLayout.Single, PoolFamily.BlockArray, ["wren-data"])] };
        var lab = Small.Lab(Small.Host("kiln"), other).WithGuestOn(Small.Guest("a"), "kiln").WithGuestOn(Small.Guest("b"), "wren");
        lab.Findings("disks.names-differ").Count.ShouldBe(1);
        var kept = lab.WithHost(
            new HostId("wren"),
            h => h with { Pools = h.Pools.Change(_ => true, p => p with { Takes = [ContentKind.Backups] }) }
        );
        kept.Findings("disks.names-differ").ShouldBeEmpty("it says what else it is for");
    }

    [Fact]
    [Reference("IEEE 802.3 framing and TCP/IPv4 headers: 1,460 of 1,538 bytes are data")]
    public void Streams_are_held_against_what_a_port_that_is_up_carries_hour_by_hour()
    {
        Lab With(params NetworkPort[] ports) =>
            Small
                .Lab(Small.Host("kiln").With(new Hardware(Ports: [.. ports])))
                .WithGuestOn(Small.Guest("films", "media-library", load: new LoadValue("plays-2160p", 16)), "kiln");
        // 16 × 40 and two 1080p plays and one conversion: 664 Mbit/s at 20:00, the busiest hour; 0.7 × 949 = 664.5.
        With(new NetworkPort("a", SpeedMbps: 1000, Up: true)).Findings("wants.streams-over-link").ShouldBeEmpty();
        With(new NetworkPort("a", SpeedMbps: 1000, Up: true), new NetworkPort("b", SpeedMbps: 10_000, Up: false))
            .Hosts[0]
            .Hardware.Goodput!.Value.BitsPerSecond.ShouldBe(949.28e6, 1e4);
        With(new NetworkPort("a", SpeedMbps: 100, Up: true), new NetworkPort("b", SpeedMbps: 10_000, Up: false))
            .Findings("wants.streams-over-link")
            .Single()
            .Text.ShouldContain("94.9 %");

        // Copies at night and films in the evening do not meet on the wire.
        var night = Small.Guest("tunnel", "remote-access", load: new LoadValue("rate", 600));
        var both = Small
            .Lab(Small.Host("kiln").With(new Hardware(Ports: [new NetworkPort("a", SpeedMbps: 1000)])))
            .WithGuestOn(Small.Guest("films", "media-library", load: new LoadValue("plays-2160p", 10)), "kiln");
        var nightly = both with { Profiles = [ProfileBook.Standard.Get("remote-access") with { Shape = DayShape.Night }] };
        nightly.WithGuestOn(night, "kiln").Findings("wants.streams-over-link").ShouldBeEmpty();
        both.WithGuestOn(night, "kiln").Findings("wants.streams-over-link").Count.ShouldBe(1);
    }

    [Fact]
    [Trade]
    public void Scratch_space_is_claimed_where_the_system_disk_lies()
    {
        var lab = Small
            .Lab(Small.Host("kiln"))
            .WithGuestOn(Small.Guest("films", "media-library", load: new LoadValue("conversions-1080p", 5)), "kiln");
        var host = Assessment.Of(lab).Hosts[0];
        var size = host.Guests[0];
        // Five films of two hours at 4 Mbit/s: 5 × 3.6 GB.
        size.Scratch.Value.ShouldBe(ByteSize.FromGB(18));
        host.Pools[0].Claimed.Value.ShouldBe(size.SystemDisk + size.Bulk + ByteSize.FromGB(18));
    }

    [Fact]
    [Trade]
    public void A_router_is_stopped_only_where_no_second_leg_of_any_sort_exists()
    {
        Lab With(Host host) => Small.Lab(host).WithGuestOn(Small.Guest("gate", "router"), "kiln");
        var one = Small.Host("kiln") with { NetworkPorts = 1 };
        With(one).Findings("kit.router-one-port").Count.ShouldBe(1);
        With(Small.Host("kiln")).Findings("kit.router-one-port").ShouldBeEmpty("two ports");
        With(one.With(new Hardware(Bridges: [new Bridge("br0", ["eno1"]), new Bridge("inside")])))
            .Findings("kit.router-one-port")
            .ShouldBeEmpty("a private bridge");
        With(one.With(new Hardware(Bridges: [new Bridge("br0", ["eno1"]), new Bridge("br1", ["eno1.20"])])))
            .Findings("kit.router-one-port")
            .ShouldBeEmpty("a tagged network");
        With(one)
            .With(KitEdits.Tick(new HostId("kiln"), Readiness.NetworkPorts, new DateOnly(2026, 11, 26)))
            .Findings("kit.router-one-port")
            .ShouldBeEmpty("somebody says so");
        With(one with { NetworkPorts = null }).Findings("kit.router-one-port").ShouldBeEmpty("nobody knows");
    }

    [Fact]
    public void A_privileged_container_is_told_why_it_probably_is_and_how_to_do_without()
    {
        string Said(Guest guest) =>
            Small.Lab(Small.Host("kiln")).WithGuestOn(guest with { Privileged = true }, "kiln").Finding("wants.privileged-container").Text;
        Said(Small.Guest("a", "app-engine", GuestKind.SystemContainer)).ShouldContain("app engine");
        Said(Small.Guest("b", "media-library", GuestKind.SystemContainer)).ShouldContain("video encoder");
        Said(Small.Guest("c", "wiki", GuestKind.SystemContainer)).ShouldContain("Nothing it does needs that");
    }

    [Theory]
    [InlineData(DiskKind.Usb, false, "disk on USB")]
    [InlineData(DiskKind.Usb, true, "USB stick")]
    [InlineData(DiskKind.Card, true, "memory card")]
    public void A_USB_disk_is_not_called_a_stick(DiskKind kind, bool removable, string says)
    {
        var host = Small.Host("kiln");
        host = host with { Disks = host.Disks.Change(d => d.IsBoot, d => d with { Kind = kind, Removable = removable }) };
        Small.Lab(host).Finding("kit.boot-from-stick").Title.ShouldContain(says);
    }
}
