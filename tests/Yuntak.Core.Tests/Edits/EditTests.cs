using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Formats.LabFiles;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Edits;

public class EditTests
{
    private static readonly HostId Kiln = new("kiln");
    private static readonly GuestId Notes = new("notes");

    [Fact]
    public void Every_change_is_named_in_words()
    {
        var lab = Small.Lab(Small.Host("kiln"), Small.Host("wren"));

        Said(ref lab, GuestEdits.Add(Small.Guest("notes"))).ShouldBe("notes asked for");
        Said(ref lab, GuestEdits.Place(Notes, Kiln)).ShouldBe("notes put on kiln");
        Said(ref lab, GuestEdits.Place(Notes, Kiln)).ShouldBe("notes stays on kiln");
        Said(ref lab, GuestEdits.Place(Notes, new HostId("wren"))).ShouldBe("notes moved kiln → wren");
        Said(ref lab, GuestEdits.Change(Notes, g => g with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(4)) }))
            .ShouldBe("notes: memory 1.25 → 4 GiB".Replace(" GiB", Numbers.ThinSpace + "GiB"));
        Said(ref lab, GuestEdits.Change(Notes, g => g with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(6)) }))
            .ShouldBe("notes: memory 4 → 6 GiB".Replace(" GiB", Numbers.ThinSpace + "GiB"));
        Said(ref lab, GuestEdits.Change(Notes, g => g with { Importance = Importance.Must })).ShouldBe("notes: must run");
        Said(ref lab, GuestEdits.Change(Notes, g => g with { Name = "papers" })).ShouldBe("notes: called notes → papers");
        Said(ref lab, GuestEdits.TakeOff(Notes)).ShouldBe("papers taken off wren");
        Said(ref lab, GuestEdits.Remove(Notes)).ShouldBe("papers removed");
        Said(ref lab, HostEdits.Remove(Kiln)).ShouldBe("host kiln removed");
        Said(ref lab, LabEdits.Rename("  Home \u0000 ")).ShouldBe("the lab is called Home");
    }

    [Fact]
    public void A_host_that_goes_leaves_its_guests_asked_for()
    {
        var lab = Small.Lab(Small.Host("kiln")).WithGuestOn(Small.Guest("notes"), "kiln").With(HostEdits.Remove(Kiln));
        lab.Guests.Single().Placement.ShouldBeNull();
    }

    [Fact]
    public void A_pool_that_goes_leaves_its_guests_without_one()
    {
        var lab = Small.Lab(Small.Host("kiln")).WithGuestOn(Small.Guest("notes"), "kiln").With(HostEdits.RemovePool(Kiln, "ember"));
        lab.Guests.Single().Placement.ShouldBe(new Placement(Kiln));
    }

    [Theory]
    [InlineData("")]
    [InlineData("   ")]
    [InlineData("\u0007\u200E")]
    [InlineData(null)]
    public void A_name_of_nothing_is_refused(string? name) =>
        Refused(HostEdits.Add(Small.Host("x") with { Name = name! })).ShouldBe("Give the host a name.");

    [Theory]
    [InlineData("a\u0001\u202Eb\uFFFE", "ab")]
    [InlineData("  Ärger & 日本 🦉 ", "Ärger & 日本 🦉")]
    public void Names_keep_every_letter_and_nothing_that_is_none(string typed, string kept) => Names.Clean(typed).ShouldBe(kept);

    [Fact]
    public void Half_a_character_becomes_the_sign_for_one_that_is_lost() =>
        Names.Clean(string.Concat("a", '\ud800', "b")).ShouldBe("a\uFFFDb");

    [Fact]
    public void A_name_of_300_characters_is_refused_with_its_length() =>
        Refused(GuestEdits.Add(Small.Guest("x") with { Name = new string('a', 300) })).ShouldContain("300 characters");

    [Fact]
    public void Two_of_the_same_name_are_refused_whatever_their_case()
    {
        var lab = Small.Lab(Small.Host("kiln")).With(GuestEdits.Add(Small.Guest("notes")));
        Refused(HostEdits.Add(Small.Host("KILN")), lab).ShouldBe("There is already a host called KILN.");
        Refused(GuestEdits.Add(Small.Guest("Notes")), lab).ShouldBe("There is already a guest called Notes.");
    }

    [Fact]
    public void Names_that_make_the_same_id_get_different_ones()
    {
        var lab = Small.Lab(Small.Host("a b"), Small.Host("a-b"), Small.Host("日本"));
        lab.Hosts.Select(h => h.Id.Value).ShouldBe(["a-b", "a-b-2", "item"]);
    }

    [Fact]
    public void A_host_must_make_sense()
    {
        var host = Small.Host("kiln");
        Refused(HostEdits.Add(host with { Processor = host.Processor with { Cores = 0 } }))
            .ShouldBe("Cores: a whole number from 1 to 4,096 belongs here, not «0».");
        Refused(HostEdits.Add(host with { Processor = host.Processor with { Threads = 2 } })).ShouldContain("4 cores have 4 to 32 threads");
        Refused(HostEdits.Add(host with { Memory = ByteSize.Zero })).ShouldContain("from 64 MiB on, belongs here, not «0 B»");
        Refused(HostEdits.Add(host with { Disks = [.. host.Disks, host.Disks[0]] })).ShouldContain("same id");
    }

    [Fact]
    public void A_pool_must_make_sense()
    {
        var lab = Small.Lab(Small.Host("kiln"));
        Refused(Pool("ember", PoolLayout.Single, "kiln-boot"), lab).ShouldContain("already has a pool called ember");
        Refused(Pool("x", PoolLayout.Mirror, "kiln-boot"), lab).ShouldContain("needs at least 2 disks; 1 chosen");
        Refused(Pool("x", PoolLayout.Single, "nowhere"), lab).ShouldContain("no disk «nowhere»");
        Refused(Pool("x", PoolLayout.Single, "kiln-data"), lab).ShouldContain("already belongs to the pool ember");
        Refused(Pool("x", PoolLayout.Single, "kiln-boot", "kiln-data"), lab).ShouldContain("takes one disk");

        static Edit Pool(string name, PoolLayout layout, params string[] disks) =>
            HostEdits.AddPool(Kiln, new Pool(name, layout, PoolFamily.BlockArray, [.. disks]));
    }

    [Fact]
    public void A_guest_must_make_sense()
    {
        var guest = Small.Guest("notes");
        Refused(GuestEdits.Add(guest with { Wants = [] })).ShouldContain("Say what notes is for");
        Refused(GuestEdits.Add(guest with { Wants = [new Want("no-such")] })).ShouldContain("no profile called «no-such»");
        Refused(GuestEdits.Add(Small.Guest("a", "router", GuestKind.Machine, new LoadValue("line-rate", 99))))
            .ShouldContain("0.01 to 25 Gbit/s; 99 was given");
        Refused(GuestEdits.Add(Small.Guest("a", "router", GuestKind.Machine, new LoadValue("cats", 1))))
            .ShouldContain("is not asked about «cats»");
        Refused(GuestEdits.Add(guest with { Overrides = new SizeOverrides(0) })).ShouldContain("virtual processors");
        Refused(GuestEdits.Add(guest with { Overrides = new SizeOverrides(Memory: ByteSize.FromMiB(1)) }))
            .ShouldBe("Memory: a size such as «4 GiB» or «500 GB», from 16 MiB on, belongs here, not «1 MiB».");
    }

    [Fact]
    public void What_is_gone_cannot_be_changed()
    {
        var empty = Lab.Empty("new");
        Refused(GuestEdits.Place(Notes, Kiln), empty).ShouldContain("no longer in the lab");
        Refused(GuestEdits.Remove(Notes), empty).ShouldContain("no longer in the lab");
        Refused(HostEdits.Remove(Kiln), empty).ShouldContain("no longer in the lab");
        Refused(GuestEdits.Place(Notes, Kiln), empty.With(GuestEdits.Add(Small.Guest("notes")))).ShouldContain("host is no longer");
        Refused(GuestEdits.UsePools(Notes, "x", null), empty.With(GuestEdits.Add(Small.Guest("notes"))))
            .ShouldContain("Put notes on a host first");
    }

    [Fact]
    public void A_lab_holds_so_many_hosts_and_no_more()
    {
        var full = Enumerable
            .Range(0, LabShapes.MostHosts)
            .Aggregate(Lab.Empty("big"), (l, n) => l.With(HostEdits.Add(Small.Host($"h{n}"))));
        Refused(HostEdits.Add(Small.Host("one-more")), full).ShouldContain("100 hosts at most");
    }

    [Fact]
    public void An_edit_never_alters_what_it_was_given()
    {
        var lab = Small.Lab(Small.Host("kiln")).WithGuestOn(Small.Guest("notes"), "kiln");
        var before = Formats.LabFiles.LabFile.ToJson(lab);
        lab.With(GuestEdits.TakeOff(Notes)).With(HostEdits.Remove(Kiln)).ShouldNotBe(lab);
        Formats.LabFiles.LabFile.ToJson(lab).ShouldBe(before);
        Assessment.Of(lab).Hosts[0].Guests.Count.ShouldBe(1);
    }

    private static string Said(ref Lab lab, Edit edit)
    {
        var changed = edit(lab);
        lab = changed.Lab;
        return changed.Sentence;
    }

    private static string Refused(Edit edit, Lab? lab = null) => Should.Throw<Refused>(() => edit(lab ?? Lab.Empty("new"))).Message;
}
