using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Edits;

public class DifferenceTests
{
    private static readonly Lab Both = Small
        .Lab(Small.Host("kiln"), Small.Host("wren"))
        .WithGuestOn(Small.Guest("notes"), "kiln")
        .WithGuestOn(Small.Guest("films", "media-library"), "wren");

    [Fact]
    public void A_lab_does_not_differ_from_itself() => Gens.AnyLab.Holds(lab => LabDifference.Between(lab, lab).Count == 0);

    [Fact]
    public void Each_sort_of_difference_is_told()
    {
        Words(Both.With(HostEdits.Add(Small.Host("cellar")))).ShouldBe(["host cellar joins", "cellar: pool ember, single disk"]);
        Words(Both.With(HostEdits.RemovePool(new HostId("kiln"), "ember"))).ShouldBe(["kiln: pool ember goes", "notes: pool ember → none"]);
        Words(Both.With(GuestEdits.Place(new GuestId("notes"), new HostId("wren")))).ShouldBe(["notes: host kiln → wren"]);
        Words(Both.With(GuestEdits.TakeOff(new GuestId("notes")))).ShouldBe(["notes: host kiln → none"]);
        Words(Both.With(GuestEdits.Remove(new GuestId("notes")))).ShouldBe(["notes goes"]);
        Words(Both.WithGuestOn(Small.Guest("new"), "kiln")).ShouldBe(["new to be built on kiln"]);
        Words(Both.With(HostEdits.Change(new HostId("kiln"), h => h with { Memory = ByteSize.FromGiB(32) })))
            .ShouldBe([$"kiln: memory 16 → 32{Numbers.ThinSpace}GiB"]);
        Words(Both with { Name = "other" }).ShouldBe(["the lab is called other"]);
    }

    [Fact]
    public void Lists_beside_hosts_and_guests_are_told_too()
    {
        var kiln = new HostId("kiln");
        var folder = new SharedFolder("reels", kiln, "ember", ByteSize.FromGB(40), [new FolderUse(new GuestId("notes"), "/reels", false)]);
        Change(Both with { Folders = [folder] }).Sentence.ShouldContain("reels");
        Change(Both with { Drills = [new Drill(DrillKind.Guest, new DateOnly(2026, 12, 5), new GuestId("notes"))] })
            .NeedsWork.ShouldBeFalse();
        Change(Both with { Offers = [OfferShapes.Offer.Blank with { Name = "small box" }] }).Sentence.ShouldContain("small box");
        Change(Both with { Copies = [new KnownCopy(new GuestId("notes"), "vault", "2026-11-30T22:30")] }).Sentence.ShouldNotBeEmpty();
    }

    [Fact]
    public void What_is_only_planning_needs_no_work()
    {
        Change(Both.With(GuestEdits.Add(Small.Guest("wish")))).NeedsWork.ShouldBeFalse();
        Change(Both.With(GuestEdits.Change(new GuestId("notes"), g => g with { Importance = Importance.Must }))).NeedsWork.ShouldBeFalse();
        Change(Both.With(HostEdits.Change(new HostId("kiln"), h => h with { IdleWatts = 30 }))).NeedsWork.ShouldBeFalse();
        Change(Both.With(GuestEdits.Change(new GuestId("notes"), g => g with { Overrides = new SizeOverrides(4) })))
            .NeedsWork.ShouldBeTrue();
    }

    [Fact]
    public void Every_value_of_a_disk_and_a_bridge_that_changed_is_said()
    {
        var host = Small.Host("kiln").With(new Hardware(Bridges: [new Bridge("br0", ["enp1s0"], ["10.40.7.2/24"])])) with
        {
            Disks =
            [
                new Disk("a", "sda", ByteSize.FromTB(4), DiskKind.Spinning, Model: "Saltpan P4", Controller: "0000:00:17.0", Sector: 512),
            ],
        };
        var after = host.With(new Hardware(Bridges: [new Bridge("br0", ["enp1s0"], ["10.40.7.3/24"])])) with
        {
            Disks = [host.Disks[0] with { Model = "Saltpan P8", Controller = "0000:02:00.0", Sector = 4096 }],
        };
        HostDifference
            .Between(host, after)
            .Select(c => c.Text)
            .ShouldBe([
                "disk sda model Saltpan P4 → Saltpan P8",
                "disk sda hangs on 0000:00:17.0 → 0000:02:00.0",
                "disk sda physical sector 512 → 4096",
                "bridge br0 addresses 10.40.7.2/24 → 10.40.7.3/24",
            ]);
    }

    [Fact]
    public void A_half_built_guest_is_still_to_be_built()
    {
        var standing = Both.WithGuest(new GuestId("notes"), g => g with { Life = LifeStage.Installed });
        LabDifference.Between(standing, Both).Single().Sentence.ShouldBe("notes is half built (installed)");
    }

    [Fact]
    public void Changes_of_different_things_go_together()
    {
        var theirs = Both.With(GuestEdits.Place(new GuestId("notes"), new HostId("wren")));
        var mine = Both.With(GuestEdits.Add(Small.Guest("new")))
            .With(HostEdits.Change(new HostId("kiln"), h => h with { Description = "tower" }));

        var merged = LabMerge.ThreeWay(Both, theirs, mine, out var clashes);

        clashes.ShouldBeEmpty();
        merged!.Guest(new GuestId("notes"))!.Placement!.Host.Value.ShouldBe("wren");
        merged.Guest(new GuestId("new")).ShouldNotBeNull();
        merged.Host(new HostId("kiln"))!.Description.ShouldBe("tower");
    }

    [Fact]
    public void Changes_of_the_same_thing_clash_by_name()
    {
        var theirs = Both.With(GuestEdits.TakeOff(new GuestId("notes")));
        var mine = Both.With(GuestEdits.Place(new GuestId("notes"), new HostId("wren")));

        LabMerge.ThreeWay(Both, theirs, mine, out var clashes).ShouldBeNull();
        clashes.ShouldBe(["notes"]);
    }

    [Fact]
    public void The_same_change_twice_is_no_clash()
    {
        var changed = Both.With(GuestEdits.TakeOff(new GuestId("notes")));
        LabMerge.ThreeWay(Both, changed, changed, out _).ShouldBe(changed);
    }

    [Fact]
    public void A_guest_is_not_left_on_a_host_that_the_other_removed()
    {
        var theirs = Both.With(GuestEdits.TakeOff(new GuestId("films"))).With(HostEdits.Remove(new HostId("wren")));
        var mine = Both.With(GuestEdits.Place(new GuestId("notes"), new HostId("wren")));

        LabMerge.ThreeWay(Both, theirs, mine, out var clashes).ShouldBeNull();
        clashes.Single().ShouldStartWith("notes");
    }

    [Fact]
    public void Doing_nothing_on_one_side_gives_the_other() =>
        Gen.Select(Gens.AnyLab, Gens.AnyLab)
            .Holds(
                (common, other) =>
                {
                    LabMerge.ThreeWay(common, other, common, out _).ShouldBe(other);
                    Same(LabMerge.ThreeWay(common, common, other, out _).ShouldNotBeNull(), other).ShouldBeTrue();
                },
                iter: 100
            );

    [Theory]
    [InlineData("4 GiB", "6 GiB", "4 → 6 GiB")]
    [InlineData("4 MiB", "6 GiB", "4 MiB → 6 GiB")]
    [InlineData("none", "kiln", "none → kiln")]
    public void A_unit_that_stays_is_said_once(string before, string after, string words) =>
        Arrow
            .Between(before.Replace(" ", Numbers.ThinSpace), after.Replace(" ", Numbers.ThinSpace))
            .Replace(Numbers.ThinSpace, " ")
            .ShouldBe(words);

    /// <summary>What one side adds may stand in another order.</summary>
    private static bool Same(Lab a, Lab b) =>
        a.Name == b.Name && a.Hosts.ToHashSet().SetEquals(b.Hosts) && a.Guests.ToHashSet().SetEquals(b.Guests);

    private static IEnumerable<string> Words(Lab to) => LabDifference.Between(Both, to).Select(c => c.Sentence);

    private static LabChange Change(Lab to) => LabDifference.Between(Both, to).Single();
}
