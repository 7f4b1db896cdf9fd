using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>Where a house begins that copies nothing yet.</summary>
public class FirstPlanTests
{
    [Fact]
    public void It_begins_with_what_a_backup_guest_keeps_and_copies_all_that_would_be_missed_each_night()
    {
        var keeping = Copied.House().Keeping();
        var store = FirstPlan.Store(keeping)!;
        store.Guest.ShouldBe(new GuestId("strongroom"));
        var planned = keeping.Lab.With(FirstPlan.Edit(keeping, store)).Keeping();
        planned.Jobs.Single().Times.ToString().ShouldBe("22:30");
        planned.InNoJob.ShouldBeEmpty();
        planned.JobsOf(planned.Volumes.Single(v => planned.IsStore(v))).ShouldBeEmpty("a store is never in a job");
    }

    /// <summary>One disk holds everything: a copy beside the data is no copy, so it goes onto a disk somebody plugs in, once a week.</summary>
    [Fact]
    [Trade]
    public void A_house_with_one_pool_begins_with_a_disk_that_is_carried()
    {
        var keeping = Copied.House().Taken("strongroom").WithoutHost("wren").Keeping();
        var store = FirstPlan.Store(keeping)!;
        (store.Carried, store.Host, store.Room).ShouldBe((true, new HostId("kiln"), ByteSize.FromTB(2)));
        FirstPlan.Words(store).ShouldBe($"Plan a weekly copy onto a disk of 2{Numbers.ThinSpace}TB that is carried");
        var planned = keeping.Lab.With(FirstPlan.Edit(keeping, store)).Keeping();
        planned.Jobs.Single().Times.ToString().ShouldBe("sun 20:00");
        planned.Guests.ShouldAllBe(g => g.Copies == 2 && g.Unchangeable == 1);
        planned.Room(planned.Stores.Single()).FullOn.ShouldBeNull();
    }

    [Theory]
    [InlineData(0.9, new[] { 1.0 })]
    [InlineData(7, new[] { 8.0, 4, 2 })]
    [InlineData(48, new[] { 24.0, 12 })]
    [InlineData(500, new[] { 24.0 })]
    public void Disks_are_compared_in_sizes_that_are_sold(double terabytes, double[] sizes) =>
        SoldDisks.Worth(ByteSize.FromTB(terabytes)).ShouldBe(sizes.Select(ByteSize.FromTB));

    [Fact]
    public void What_no_disk_holds_is_planned_onto_none()
    {
        var keeping = Copied
            .House()
            .Taken("strongroom")
            .WithoutHost("wren")
            .WithGuest(Copied.Cloud, g => g with { Overrides = g.Overrides with { Bulk = ByteSize.FromTB(17) } })
            .Keeping();
        FirstPlan.Store(keeping).ShouldBeNull();
    }
}

/// <summary>Labs with less in them.</summary>
file static class Fewer
{
    public static Lab Taken(this Lab lab, string guest) => lab with { Guests = lab.Guests.Without(g => g.Name == guest) };

    public static Lab WithoutHost(this Lab lab, string host) => lab with { Hosts = lab.Hosts.Without(h => h.Name == host) };
}
