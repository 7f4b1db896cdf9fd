using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Simulation;

/// <summary>The rules of the road that simulated hosts hold, one at a time: what a real host refuses, they refuse, and what was there is there afterwards.</summary>
[Trade]
public class HostRuleTests
{
    private static readonly HostId Kiln = new("kiln");
    private static readonly HostId Wren = new("wren");
    private static readonly GuestId Notes = new("notes");
    private static readonly GuestId Nest = new("nest");
    private static readonly GuestId Papers = new("papers");

    private static readonly Lab Stands = Lived(
        Small
            .Lab(Small.Host("kiln", gib: 16), Small.Host("wren", gib: 8))
            .WithGuestOn(Sized("notes", memory: 4, disk: 40), "kiln")
            .WithGuestOn(Small.Guest("nest", "app-engine", GuestKind.SystemContainer), "kiln")
            .WithGuestOn(Small.Guest("papers", "wiki", GuestKind.AppStack), "kiln")
            .With(NestingEdits.RunIn(Papers, Nest))
    );

    private readonly SimHouse house = HouseMaker.Of(Sums.Of(Stands));

    [Fact]
    public void What_stands_runs()
    {
        house.Guests.ShouldAllBe(g => g.State == GuestState.Running);
        house.Lost.ShouldBeEmpty();
    }

    [Fact]
    public void Figures_change_only_while_a_guest_is_off_and_suspended_is_not_off()
    {
        var needs = GuestNeeds.Of(Sums.Of(Stands), Notes);
        Refused(() => house.Change(needs)).ShouldContain("while it is off");
        house.Guest(Notes).OnlySleeps = true;
        Refused(() => house.ShutDown(Notes)).ShouldContain("suspended is not off");
        Refused(() => house.Change(needs)).ShouldContain("suspended is not off");
        house.Start(Notes);
        house.ShutDown(Notes);
        house.Change(needs);
        house.Guest(Notes).State.ShouldBe(GuestState.Off);
    }

    [Fact]
    public void A_disk_never_shrinks_without_a_backup_to_fill_a_smaller_one_from()
    {
        house.ShutDown(Notes);
        var smaller = Needs(Sized("notes", memory: 4, disk: 20));
        Refused(() => house.Change(smaller)).ShouldContain("no backup");
        house.Guest(Notes).System!.Size.ShouldBe(ByteSize.FromGiB(40));
        var used = house.Pool(Kiln, "ember").Used;
        house.Guest(Notes).Backup = ByteSize.FromGiB(40);
        house.Change(smaller);
        (used - house.Pool(Kiln, "ember").Used).ShouldBe(ByteSize.FromGiB(20));
    }

    [Fact]
    public void A_disk_grows_as_far_as_its_pool_has_room()
    {
        house.ShutDown(Notes);
        var used = house.Pool(Kiln, "ember").Used;
        Refused(() => house.Change(Needs(Sized("notes", memory: 4, disk: 5_000)))).ShouldContain("No space left on device");
        house.Pool(Kiln, "ember").Used.ShouldBe(used, "nothing was taken by what was refused");
        house.Change(Needs(Sized("notes", memory: 4, disk: 60)));
        (house.Pool(Kiln, "ember").Used - used).ShouldBe(ByteSize.FromGiB(20));
    }

    [Fact]
    public void Memory_is_a_host_s_own_limit_and_is_free_again_when_a_guest_is_off()
    {
        house.ShutDown(Notes);
        house.Change(Needs(Sized("notes", memory: 40, disk: 40)));
        Refused(() => house.Start(Notes)).ShouldContain("Cannot allocate memory");
        var free = house.Host(Kiln).FreeMemory;
        house.Change(Needs(Sized("notes", memory: 4, disk: 40)));
        house.Start(Notes);
        (free - house.Host(Kiln).FreeMemory).ShouldBe(house.Guest(Notes).Memory);
    }

    [Fact]
    public void What_an_engine_runs_goes_down_and_comes_up_with_the_guest_it_is_in()
    {
        house.ShutDown(Nest);
        house.Guest(Papers).State.ShouldBe(GuestState.Off);
        Refused(() => house.Start(Papers)).ShouldContain("whose engine runs papers, does not run");
        house.Start(Nest);
        house.Guest(Papers).State.ShouldBe(GuestState.Running);
    }

    [Fact]
    public void A_guest_moves_while_it_is_off_with_its_disks_and_without_its_devices()
    {
        var there = Needs(Sized("notes", memory: 4, disk: 40), "wren");
        Refused(() => house.Move(Notes, Kiln, Wren, there)).ShouldContain("while it is off");
        house.ShutDown(Notes);
        house.Guest(Notes).Devices = ["by its USB port 1-1"];
        var used = house.Pool(Kiln, "ember").Used;
        house.Move(Notes, Kiln, Wren, there);
        (used - house.Pool(Kiln, "ember").Used).ShouldBe(ByteSize.FromGiB(40));
        house.Guest(Notes).Devices.ShouldBeEmpty();
        Refused(() => house.Move(Notes, Kiln, Wren, there)).ShouldContain("is not on kiln");
        house.Start(Notes);
    }

    [Fact]
    public void A_device_is_one_guest_s_at_a_time_and_a_node_is_everybody_s()
    {
        var stick = GuestNeeds.DeviceKey(ClaimWay.UsbPort, "1-1");
        foreach (var id in new[] { Notes, Nest })
        {
            house.ShutDown(id);
            house.Guest(id).Devices = [stick, GuestNeeds.DeviceKey(ClaimWay.Node, "0000:00:02.0")];
        }

        house.Start(Notes);
        Refused(() => house.Start(Nest)).ShouldContain("Device or resource busy");
        house.Guest(Nest).Devices = house.Guest(Nest).Devices.Remove(stick);
        house.Start(Nest);
    }

    [Fact]
    public void A_pool_somebody_runs_from_does_not_come_apart_and_what_was_not_copied_is_lost()
    {
        Refused(() => house.TakeApart(Kiln, "ember")).ShouldContain("is busy");
        house.ShutDown(Notes);
        house.ShutDown(Nest);
        house.TakeApart(Kiln, "ember");
        house.Lost.Count.ShouldBe(2, "the volumes of both");
        Refused(() => house.Start(Notes)).ShouldContain("no pool called ember");
    }

    [Fact]
    public void A_pool_that_was_copied_away_comes_back_under_another_name_with_nothing_lost()
    {
        house.ShutDown(Notes);
        house.ShutDown(Nest);
        var made = house.Pool(Kiln, "ember");
        house.CopyAway(Kiln, "ember", null, made.Used);
        house.TakeApart(Kiln, "ember");
        house.MakePool(Kiln, made.Made with { Name = "clay" }, made.Made.DiskIds, made.Room, made.Other);
        house.CopyBack(Kiln, "ember", "clay");
        house.Start(Notes);
        house.Lost.ShouldBeEmpty();
        house.Guest(Notes).System!.Pool.ShouldBe("clay");
        house.Pool(Kiln, "clay").Used.ShouldBe(made.Used);
    }

    [Fact]
    public void A_disk_in_a_pool_is_busy_and_the_wrong_one_wiped_is_a_loss_that_is_named()
    {
        var pool = house.Pool(Kiln, "ember").Made;
        Refused(() => house.MakePool(Kiln, pool with { Name = "clay" }, [], default, default)).ShouldContain("is busy");
        Refused(() => house.MakePool(Kiln, pool, [], default, default)).ShouldContain("already");
        Refused(() => house.Rename(Kiln, "ember", "ember")).ShouldContain("already");
        house.Lost.ShouldBeEmpty();
        house.WrongDisk = "kiln-data";
        house.Wipe(Kiln, "kiln-spare");
        house.Lost.ShouldHaveSingleItem().ShouldContain("kiln-data, which was in ember");
    }

    [Fact]
    public void Power_that_comes_back_starts_who_starts_unattended_and_nobody_else()
    {
        house.Guest(Notes).Starts = false;
        house.CutPower(Kiln);
        Refused(() => house.Start(Nest)).ShouldContain("kiln");
        house.PowerOn(Kiln);
        house.Guest(Notes).State.ShouldBe(GuestState.Off);
        house.Guest(Nest).State.ShouldBe(GuestState.Running);
        house.Guest(Papers).State.ShouldBe(GuestState.Running);
    }

    [Fact]
    public void A_guest_that_goes_without_a_backup_is_a_loss_and_one_with_it_is_none()
    {
        Refused(() => house.Delete(Notes)).ShouldContain("while it is off");
        house.ShutDown(Notes);
        var other = house.Copy();
        house.Delete(Notes);
        house.Lost.ShouldHaveSingleItem().ShouldContain("all of notes");
        other.Guest(Notes).Backup = ByteSize.FromGiB(40);
        other.Delete(Notes);
        other.Lost.ShouldBeEmpty();
        Refused(() => other.Start(Notes)).ShouldContain("No guest of that name");
    }

    [Fact]
    public void A_machine_starts_from_what_is_installed_or_from_its_medium_and_from_nothing_else()
    {
        var fresh = Lived(Stands).WithGuestOn(Sized("films", memory: 1, disk: 20), "wren");
        house.Create(GuestNeeds.Of(Sums.Of(fresh), new GuestId("films")));
        Refused(() => house.Create(GuestNeeds.Of(Sums.Of(fresh), new GuestId("films")))).ShouldContain("on the list already");
        Refused(() => house.Start(new GuestId("films"))).ShouldContain("No bootable device");
        var films = house.Guest(new GuestId("films"));
        (films.MediumIn, films.MediumFirst) = (true, true);
        house.Start(films.Id);
        films.State.ShouldBe(GuestState.Installing);
    }

    [Fact]
    public void A_guest_for_another_family_of_processors_does_not_start()
    {
        house.ShutDown(Notes);
        house.Guest(Notes).Family = "aarch64";
        Refused(() => house.Start(Notes)).ShouldContain("Exec format error");
    }

    private static Guest Sized(string name, double memory, double disk) =>
        Small.Guest(name) with
        {
            Overrides = new SizeOverrides(2, ByteSize.FromGiB(memory), ByteSize.FromGiB(disk), ByteSize.Zero),
        };

    private static GuestNeeds Needs(Guest guest, string host = "kiln") =>
        GuestNeeds.Of(Sums.Of(Small.Lab(Small.Host("kiln"), Small.Host("wren")).WithGuestOn(guest, host)), guest.Id);

    /// <summary>Everybody serves and starts unattended.</summary>
    private static Lab Lived(Lab lab) => lab with { Guests = [.. lab.Guests.Select(g => g with { Life = LifeStage.InService })] };

    private static string Refused(Action act) => Should.Throw<HostRefuses>(act).Message;
}
