using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>What is copied, how much, how long it takes, where it lies and when it comes back, against sums done by hand.</summary>
public class KeepingSumsTests
{
    /// <summary>What 1 Gbit/s carries: 1,460 bytes in 1,538 on the wire (IEEE 802.3).</summary>
    private const double Gigabit = 1e9 / 8 * 1460 / 1538;

    [Theory]
    [InlineData(12e12, 28.1)]
    [InlineData(48.8 * 1024 * 1024 * 1024 * 1024, 125.6)]
    [Trade]
    public void The_first_copy_over_one_gigabit_takes_what_the_handbook_says(double bytes, double hours)
    {
        var lab = Copied
            .Sound()
            .WithHost(
                new HostId("kiln"),
                h => h with { Disks = h.Disks.Change(d => !d.IsBoot, d => d with { Size = ByteSize.FromTB(100) }) }
            )
            .WithGuest(
                Copied.Cloud,
                g => g with { Overrides = g.Overrides with { SystemDisk = ByteSize.FromMiB(1), Bulk = new ByteSize((long)bytes) } }
            )
            .Job(j => j with { Takes = [new JobPart(Copied.Cloud)] });
        lab.Keeping().Jobs.Single().FirstTime.Hours.ShouldBe(hours, 0.1);
    }

    [Fact]
    public void A_job_copies_its_volumes_then_what_changes_of_them()
    {
        var job = Copied
            .Sound()
            .Job(j => j with { Takes = [new JobPart(Copied.Notes), new JobPart(Copied.Cloud, Changes: ByteSize.FromGB(5.1))] })
            .Keeping()
            .Jobs.Single();
        job.First.Bytes.ShouldBe(20_000_000_000 + 10_000_000_000 + 500_000_000_000);
        job.FirstTime.Minutes.ShouldBe(530e9 / Gigabit / 60, 0.01);
        // Of notes 2 % a day as assumed; of cloud what was measured.
        Near(job.Each, 400_000_000 + 5_100_000_000, 2);
        job.Segments.Select(s => s.Measured).ShouldBe([false, true, true]);
    }

    [Fact]
    public void A_store_that_keeps_nothing_once_takes_everything_each_time()
    {
        var job = Copied.Sound().Store("vault", s => s with { Deduplicates = false }).Keeping().Jobs.Single();
        job.Each.ShouldBe(job.First);
    }

    [Theory]
    [InlineData(CopyMode.Snapshot, PoolFamily.BlockArray, 0)]
    [InlineData(CopyMode.Dump, PoolFamily.BlockArray, 0)]
    [InlineData(CopyMode.Stop, PoolFamily.CopyOnWrite, 3)]
    [InlineData(CopyMode.Stop, PoolFamily.BlockArray, 3 + (20e9 / Gigabit / 60))]
    public void A_guest_is_away_while_it_is_stopped_and_only_for_the_switch_where_the_pool_copies_on_write(
        CopyMode mode,
        PoolFamily family,
        double minutes
    )
    {
        var lab = Copied
            .Sound()
            .WithHost(new HostId("kiln"), h => h with { Pools = h.Pools.Change(_ => true, p => p with { Family = family }) })
            .Job(j => j with { Mode = mode });
        lab.Keeping().Jobs.Single().Away(Copied.Notes, first: true).Minutes.ShouldBe(minutes, 0.01);
    }

    [Fact]
    public void A_limit_and_a_measured_rate_hold()
    {
        Copied.Sound().Job(j => j with { Limit = 80 }).Keeping().Jobs.Single().FirstTime.Minutes.ShouldBe(530e9 / 10e6 / 60, 0.01);
        Copied.Sound().Job(j => j with { Rate = 40 }).Keeping().Jobs.Single().FirstTime.Minutes.ShouldBe(530e9 / 40e6 / 60, 0.01);
        Copied
            .Sound()
            .Store("vault", s => s with { Writes = 20 })
            .Keeping()
            .Jobs.Single()
            .FirstTime.Minutes.ShouldBe(530e9 / 20e6 / 60, 0.01);
    }

    [Fact]
    public void A_night_begins_and_ends_as_the_sums_say()
    {
        var keeping = Copied.Sound().Keeping();
        var night = keeping.NightOf(Copied.Today);
        var run = night.Runs.Single(r => r.Work.Kind == NightKind.Copying);
        keeping.Clock.Wall(run.Starts).ShouldBe(Copied.Today.ToDateTime(new TimeOnly(23, 30)));
        (run.Ends - run.Starts).ShouldBe(keeping.Jobs.Single().EachTime.Minutes * 60, 0.01);
        night.Late.ShouldBeEmpty();
        (night.To - night.From).ShouldBe(24 * 3600);
    }

    [Fact]
    public void The_three_two_one_counts_are_those_of_places_that_have_all_of_it()
    {
        var guest = Copied.Sound().Keeping().Guests.Single(g => g.Guest.Id == Copied.Cloud);
        (guest.Copies, guest.Mediums.Count, guest.Elsewhere, guest.Unchangeable, guest.Unchecked).ShouldBe((3, 2, 1, 1, 0));
        guest.IsWhole.ShouldBeTrue();
        KeepingSteps.Of(Copied.Sound().Keeping(), guest).ShouldBeEmpty();

        // One volume not ticked, and nothing counts.
        var half = Copied
            .Sound()
            .With(KeepingEdits.Untick("nightly", Copied.Cloud, VolumePart.Bulk, [VolumePart.System, VolumePart.Bulk]))
            .Keeping();
        var torn = half.Guests.Single(g => g.Guest.Id == Copied.Cloud);
        (torn.Copies, torn.Elsewhere, torn.WorstLoss, torn.Restore).ShouldBe((1, 0, null, null));
        half.HouseRestore.ShouldBeNull();
        half.InNoJob.Select(v => v.Key).ShouldBe(["cloud/bulk"]);
    }

    [Fact]
    public void What_is_left_out_for_a_reason_is_not_missed()
    {
        var keeping = Copied
            .Sound()
            .With(KeepingEdits.Untick("nightly", Copied.Cloud, VolumePart.Bulk, [VolumePart.System, VolumePart.Bulk], "fetched again"))
            .Keeping();
        keeping.InNoJob.ShouldBeEmpty();
        keeping.Guests.Single(g => g.Guest.Id == Copied.Cloud).Copies.ShouldBe(3);
    }

    [Fact]
    public void At_worst_is_lost_what_came_between_two_copies_and_while_one_is_taken()
    {
        var keeping = Copied.Sound().Job(j => j with { Times = "mon,thu 23:30" }).Keeping();
        keeping.Guests[0].WorstLoss!.Value.Hours.ShouldBe(96 + keeping.Jobs.Single().EachTime.Hours, 0.001);
    }

    [Fact]
    public void A_guest_is_back_as_soon_as_it_is_fetched_started_and_looked_at_or_as_its_drill_took()
    {
        var keeping = Copied.Sound().Keeping();
        keeping.Guests.Single(g => g.Guest.Id == Copied.Cloud).Restore!.Value.Minutes.ShouldBe((510e9 / Gigabit / 60) + 2 + 10, 0.01);
        keeping.Guests.Single(g => g.Guest.Id == Copied.Notes).Restore!.Value.Minutes.ShouldBe(12);
        keeping.HouseRestore!.Value.Minutes.ShouldBe((510e9 / Gigabit / 60) + 2 + 10 + 12, 0.01);
    }

    [Fact]
    public void Onward_goes_one_whole_copy_then_what_came_since_over_the_line_or_carried()
    {
        var onward = Copied.Sound().Keeping().Onward.Single();
        const double line = 100e6 / 8 * 1460 / 1538;
        onward.First.Bytes.ShouldBe(530_000_000_000);
        onward.FirstOverLine.Minutes.ShouldBe(530e9 / line / 60, 0.01);
        onward.FirstCarried.Minutes.ShouldBe((2 * 530e9 / 100e6 / 60) + (KeepingRules.CarryHours * 60), 0.01);
        // Where both take the same.
        var even = onward.BreakEven!.Value.Bytes;
        (even / line).ShouldBe((2 * even / 100e6) + (KeepingRules.CarryHours * 3600), 1);
    }

    [Fact]
    public void Carrying_breaks_even_where_both_take_the_same_also_with_stores_that_are_slower_than_the_disk()
    {
        var onward = Copied
            .Sound()
            .With(KeepingEdits.ChangeStore("vault", s => s with { Reads = 60 }))
            .With(KeepingEdits.ChangeStore("boathouse", s => s with { Writes = 40 }))
            .Keeping()
            .Onward.Single();
        var even = onward.BreakEven!.Value.Bytes;
        (even / (100e6 / 8 * 1460 / 1538)).ShouldBe((even / 60e6) + (even / 40e6) + (KeepingRules.CarryHours * 3600), 1);
        onward.FirstCarried.Minutes.ShouldBe((530e9 / 60e6 / 60) + (530e9 / 40e6 / 60) + (KeepingRules.CarryHours * 60), 0.01);
    }

    /// <summary>From the vault to the boathouse each night, and from there to the mill on Sundays: what arrives is the same, a week of it at once.</summary>
    [Fact]
    public void What_was_carried_on_can_be_carried_on_once_more()
    {
        var lab = Copied
            .Sound()
            .Job(j => j with { Takes = [new JobPart(Copied.Cloud, Changes: ByteSize.FromGB(5.1))], Keep = "last 4" })
            .With(KeepingEdits.Store(new Store("mill", Place: "mill", Room: ByteSize.FromTB(8), Line: 100)))
            .With(KeepingEdits.Onward(new OnwardCopy("boathouse", "mill", "sun 04:00", Keep: "last 2")));
        var keeping = lab.Keeping();
        var further = keeping.Onward.Single(o => o.Onward.To == "mill");
        further.First.Bytes.ShouldBe(510_000_000_000);
        Near(further.Each, 7 * 5_100_000_000L, 8);
        // One whole copy, and a week's changes between the two that are kept.
        Near(keeping.Room(keeping.Store("mill")!).Settled, 510_000_000_000 + (7 * 5_100_000_000L), 8);
        var cloud = keeping.Guests.Single(g => g.Guest.Id == Copied.Cloud);
        (cloud.Copies, cloud.Elsewhere).ShouldBe((4, 2));
    }

    [Fact]
    public void What_comes_by_two_ways_lies_there_once_and_a_circle_ends()
    {
        var once = Copied
            .Sound()
            .With(KeepingEdits.Store(new Store("mill", Place: "mill", Room: ByteSize.FromTB(8), Line: 100)))
            .With(KeepingEdits.Onward(new OnwardCopy("boathouse", "mill", "04:00")));
        var twice = once.With(KeepingEdits.Onward(new OnwardCopy("vault", "mill", "05:00")))
            .With(KeepingEdits.Onward(new OnwardCopy("mill", "boathouse", "06:00")))
            .With(KeepingEdits.Onward(new OnwardCopy("mill", "vault", "07:00")));
        foreach (var store in once.Keeping().Stores)
        {
            var other = twice.Keeping();
            other.Room(other.Store(store.Store.Name)!).Settled.ShouldBe(once.Keeping().Room(store).Settled, store.Store.Name);
        }

        twice.Keeping().Guests.Select(g => g.Copies).ShouldBe(once.Keeping().Guests.Select(g => g.Copies));
    }

    [Theory]
    [InlineData(false, false, 530_000_000_000, 4 * 530_000_000_000)]
    [InlineData(false, true, 530_000_000_000, 0)]
    [InlineData(true, false, 0, 0)]
    public void Whole_copies_go_on_as_whole_ones_until_a_store_keeps_once_what_is_the_same(bool near, bool far, long each, long settled)
    {
        var keeping = Copied
            .Sound()
            .Job(j => j with { Keep = "last 4" })
            .Store("vault", s => s with { Deduplicates = near })
            .Store("boathouse", s => s with { Deduplicates = far })
            .Keeping();
        var changed = 30e9 * KeepingRules.SystemChanges + (500e9 * KeepingRules.BulkChanges);
        Near(keeping.Onward.Single().Each, each > 0 ? each : changed, 4);
        Near(keeping.Room(keeping.Store("boathouse")!).Settled, settled > 0 ? settled : 530e9 + (3 * changed), 12);
    }

    [Fact]
    public void A_store_holds_one_whole_copy_and_the_changes_between_those_that_are_kept()
    {
        var lab = Copied.Sound().Job(j => j with { Takes = [new JobPart(Copied.Cloud, Changes: ByteSize.FromGB(5.1))], Keep = "last 4" });
        var room = Room(lab);
        // 510 GB, and three days of 5.1 GB between four copies.
        Near(room.Settled, 510_000_000_000 + (3 * 5_100_000_000L), 4);
        room.Curve[0].Used.Bytes.ShouldBe(510_000_000_000);
        Near(room.Curve[1].Used, 510_000_000_000 + 5_100_000_000, 4);
        Near(room.Curve[^1].Used, room.Settled.Bytes, 4);
        room.FullOn.ShouldBeNull();

        var plain = Room(lab.Store("vault", s => s with { Deduplicates = false }));
        plain.Settled.Bytes.ShouldBe(4 * 510_000_000_000);
        var halved = Room(lab.Store("vault", s => s with { Reduction = 2 }));
        Near(halved.Settled, room.Settled.Bytes / 2, 4);
    }

    [Fact]
    public void A_store_is_full_on_the_first_day_it_holds_less_than_what_is_kept()
    {
        var lab = Copied
            .Sound()
            .Job(j => j with { Takes = [new JobPart(Copied.Cloud, Changes: ByteSize.FromGB(5.1))], Keep = "daily 100" })
            .Store("vault", s => s with { Room = ByteSize.FromGB(510 + (5.1 * 30) + 1) });
        Room(lab).FullOn.ShouldBe(Copied.Today.AddDays(31));
        lab.Store("vault", s => s with { Room = ByteSize.FromTB(4) })
            .Keeping()
            .Stores.ShouldAllBe(s => s.Room == null || s.Room > ByteSize.Zero);
    }

    [Fact]
    public void A_list_that_was_read_counts_before_what_is_reckoned()
    {
        var lab = Copied
            .Sound()
            .With(KeepingEdits.TakeCopies([new KnownCopy(Copied.Notes, "vault", "2027-02-28T23:30", ByteSize.FromGB(21))]));
        Room(lab).Used.Bytes.ShouldBe(21_000_000_000);
    }

    [Fact]
    public void Growth_fills_a_store()
    {
        var lab = Copied
            .Sound()
            .WithGuest(Copied.Cloud, g => g with { Growth = new Growth(ByteSize.FromGB(100)) })
            .Job(j => j with { Keep = "last 1" });
        var curve = Room(lab).Curve;
        Near(curve[^1].Used - curve[0].Used, 365 * 100e9 / (365.25 / 12), 1e6);
        Room(lab).Needed.ShouldBe(curve[^1].Used);
    }

    private static void Near(ByteSize size, double bytes, double by) => ((double)size.Bytes).ShouldBe(bytes, by);

    private static StoreRoom Room(Lab lab)
    {
        var keeping = lab.Keeping();
        return keeping.Room(keeping.Stores.First(s => s.Store.Name == "vault"));
    }
}
