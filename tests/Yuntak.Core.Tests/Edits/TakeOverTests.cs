using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Edits;

/// <summary>Guests and pools that are there already.</summary>
public class TakeOverTests
{
    private static readonly HostId Kiln = new("kiln");

    [Fact]
    public void What_a_standing_guest_keeps_is_part_of_what_lay_in_its_pool()
    {
        var lab = Holding(ByteSize.FromGB(400));
        var before = Assessment.Of(lab).Hosts[0].Pools[0].Claimed.Value;
        var taken = TakeOverEdits.Take(Kiln, [Notes], stand: true)(lab).Lab;
        Assessment.Of(taken).Hosts[0].Pools[0].Claimed.Value.ShouldBe(before, "it was counted among the 400 GB");
        var planned = TakeOverEdits.Take(Kiln, [Notes], stand: false)(lab).Lab;
        Assessment.Of(planned).Hosts[0].Pools[0].Claimed.Value.ShouldBe(before + ByteSize.FromGiB(32));
    }

    [Fact]
    public void Of_a_pool_that_holds_less_than_its_guests_nothing_is_left_over()
    {
        var taken = TakeOverEdits.Take(Kiln, [Notes], stand: true)(Holding(ByteSize.FromGB(1))).Lab;
        taken.Hosts[0].Pools[0].AlreadyUsed.ShouldBe(ByteSize.Zero);
    }

    [Fact]
    public void A_name_that_is_taken_gets_a_number_and_all_are_on_the_host()
    {
        var taken = TakeOverEdits.Take(Kiln, [Notes, Notes, Notes], stand: true)(Holding(default)).Lab;
        taken.Guests.Select(g => g.Name).ShouldBe(["notes", "notes 2", "notes 3"]);
        taken.Guests.ShouldAllBe(g => g.Placement!.SystemPool == "ember");
        Should.Throw<Base.Refused>(() => TakeOverEdits.Take(Kiln, [], stand: true)(taken));
        Should.Throw<Base.Refused>(() => TakeOverEdits.Take(new HostId("gone"), [Notes], stand: true)(taken));
    }

    [Fact]
    public void A_pool_found_later_on_a_host_that_stands_stands_too_and_no_step_makes_it()
    {
        var host = Small.Host("kiln") with
        {
            Disks = [.. Small.Host("kiln").Disks, new Disk("x", "sdx", ByteSize.FromTB(8), DiskKind.Spinning, Holds: ["ext4"])],
        };
        var built = Small.Lab(host);
        var read = Small.Lab(
            host.With(new Hardware(Found: [new FoundPool("attic", PoolLayout.Single, PoolFamily.BlockArray, ["x"], "/srv/attic")]))
        );
        TakeOverEdits.NewPools(read.Hosts[0]).Select(p => p.Name).ShouldBe(["attic"]);

        var draft = read.With(TakeOverEdits.TakePools(Kiln));
        var stands = built.With(Standing.TakePools(draft, Kiln, ["attic"]));
        stands.Hosts[0].PoolNamed("attic").ShouldNotBeNull();
        RunbookBuilder.Build(stands, draft).Steps.ShouldBeEmpty();
        TakeOverEdits.NewPools(draft.Hosts[0]).ShouldBeEmpty("it is known now");
    }

    [Fact]
    public void Pools_of_a_host_that_was_typed_in_stand_with_it()
    {
        // Nobody has looked at its disks: a step that makes the pool would wipe what is on them.
        var draft = Small.Lab(Small.Host("kiln") with { WasRead = false });
        var stands = Small.Lab().With(Standing.TakeHost(draft, Kiln));
        stands.Hosts[0].Pools.Count.ShouldBe(draft.Hosts[0].Pools.Count);
        RunbookBuilder.Build(stands, draft).Steps.ShouldBeEmpty();
    }

    [Theory]
    [InlineData("home-broker", GuestKind.AppStack, 0, "message-broker")]
    [InlineData("thing", GuestKind.AppStack, 53, "name-server")]
    [InlineData("thing", GuestKind.AppStack, 8123, ProfileBook.Other)]
    [InlineData("test 3", GuestKind.Machine, 0, ProfileBook.TestMachine)]
    [InlineData("router", GuestKind.AppStack, 0, ProfileBook.Other)]
    public void What_a_guest_is_for_is_guessed_from_its_name_and_standard_ports_only(
        string name,
        GuestKind kind,
        int port,
        string profile
    ) => ProfileGuess.Of(name, kind, port > 0 ? [port] : []).ShouldBe(profile);

    private static Guest Notes =>
        Small.Guest("notes") with
        {
            Overrides = new SizeOverrides(SystemDisk: ByteSize.FromGiB(32), Bulk: ByteSize.Zero),
        };

    private static Lab Holding(ByteSize used) =>
        Small.Lab(Small.Host("kiln", 64) with { Pools = Small.Host("kiln").Pools.Change(_ => true, p => p with { AlreadyUsed = used }) });
}
