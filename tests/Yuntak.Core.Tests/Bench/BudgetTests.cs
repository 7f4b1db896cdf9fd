using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Bench;

public class BudgetTests
{
    [Theory]
    [FromMemory]
    [InlineData(8, 16, 10.0)]
    [InlineData(4, 4, 4.0)]
    [InlineData(4, 8, 5.0)]
    public void A_second_thread_adds_a_quarter_of_a_core(int cores, int threads, double effective) =>
        ProcessorBudget
            .EffectiveCores(new Processor("x86_64", 1, cores, threads), LabSettings.Default)
            .Value.Value.ShouldBe(effective, 1e-9);

    [Fact]
    public void Unequal_cores_count_each_thread_once() =>
        ProcessorBudget.EffectiveCores(new Processor("x86_64", 1, 14, 20), LabSettings.Default).Value.Value.ShouldBe(14 + (6 * 0.25), 1e-9);

    [Fact]
    public void Memory_committed_is_base_cache_machines_and_containers()
    {
        var machine = Small.Guest("a", "router") with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(2)) };
        var container = Small.Guest("b", "file-cloud", GuestKind.SystemContainer, new LoadValue("active", 2));
        var lab = Small.Lab(Small.Host("kiln")).WithGuestOn(machine, "kiln").WithGuestOn(container, "kiln");

        var memory = Assessment.Of(lab).Hosts[0].Memory;

        var expected =
            ByteSize.FromGiB(1.5) // host base; no copy-on-write pool, so no cache
            + ByteSize.FromGiB(2)
            + ByteSize.FromMiB(150)
            + ByteSize.FromMiB(8) // 2 GiB / 256
            + ByteSize.FromGiB(1.3) // expected use of the container: 1 + 2 × 0.15
            + ByteSize.FromMiB(16);
        memory.Committed.Value.ShouldBe(expected);
        memory.Spare.ShouldBe(ByteSize.FromGiB(16) - expected);
    }

    [Fact]
    public void What_a_machine_may_shrink_to_is_committed_and_its_ceiling_promised()
    {
        var guest = Small.Guest("a", "router") with
        {
            Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(8)),
            MayShrinkTo = ByteSize.FromGiB(2),
        };
        var memory = Assessment.Of(Small.Lab(Small.Host("kiln")).WithGuestOn(guest, "kiln")).Hosts[0].Memory;

        (memory.Promised - memory.Committed.Value).ShouldBe(ByteSize.FromGiB(6));
    }

    [Fact]
    [Trade]
    public void A_copy_on_write_pool_takes_a_read_cache_after_either_school()
    {
        var host = Small.Host("kiln", poolTB: 20) with
        {
            Pools = [new Pool("ember", PoolLayout.Single, PoolFamily.CopyOnWrite, ["kiln-data"])],
        };
        var perTebibyte = LabSettings.Default with { ReadCacheRule = ReadCacheRule.PerTebibyte };

        ReadCache.Of(host, LabSettings.Default).ShouldBe(ByteSize.FromGiB(4));
        ReadCache.Of(host, perTebibyte).GiB.ShouldBe(18.0, 0.1);
        ReadCache.Of(Small.Host("wren"), perTebibyte).ShouldBe(ByteSize.Zero);
    }

    [Fact]
    public void The_small_school_of_caches_never_goes_below_2_GiB()
    {
        var host = Small.Host("kiln", poolTB: 0.5) with
        {
            Pools = [new Pool("ember", PoolLayout.Single, PoolFamily.CopyOnWrite, ["kiln-data"])],
        };
        ReadCache.Of(host, LabSettings.Default with { ReadCacheRule = ReadCacheRule.PerTebibyte }).ShouldBe(ByteSize.FromGiB(2));
    }

    [Fact]
    public void The_day_adds_up_and_the_peak_is_its_highest_hour()
    {
        var lab = Small
            .Lab(Small.Host("kiln"))
            .WithGuestOn(Small.Guest("films", "media-library"), "kiln")
            .WithGuestOn(Small.Guest("copies", "backup-server"), "kiln");
        var host = Assessment.Of(lab).Hosts[0];

        for (var hour = 0; hour < 24; hour++)
        {
            host.Processor.At(hour).ShouldBe(host.Guests.Sum(g => g.CoresAt(hour)), 1e-9);
        }

        host.Processor.Peak.Value.Value.ShouldBe(Enumerable.Range(0, 24).Max(host.Processor.At), 1e-9);
        host.Processor.PeakHour.ShouldBe(20);
    }

    [Fact]
    public void A_pool_counts_what_lies_in_it_and_every_volume_once()
    {
        var host = Small.Host("kiln") with
        {
            Pools = [new Pool("ember", PoolLayout.Single, PoolFamily.BlockArray, ["kiln-data"], ByteSize.FromGB(100))],
        };
        var lab = Small
            .Lab(host)
            .WithGuestOn(Small.Guest("films", "media-library", GuestKind.Machine, new LoadValue("library", 1)), "kiln");
        var pool = Assessment.Of(lab).Hosts[0].Pools[0];

        pool.Claimed.Value.ShouldBe(ByteSize.FromGB(100) + ByteSize.FromGiB(28) + ByteSize.FromGB(3.6) + ByteSize.FromTB(1));
        pool.Claimed.Inputs.Select(i => i.Label)
            .ShouldBe(["in it already", "films, system disk", "films, scratch space", "films, bulk data"]);
    }

    [Theory]
    [InlineData(4, Fit.Over)]
    [InlineData(4.7, Fit.Tight)]
    [InlineData(16, Fit.Fits)]
    public void Memory_is_judged_at_100_and_90_percent(double gib, Fit fit)
    {
        var guest = Small.Guest("a", "router") with { Overrides = new SizeOverrides(Vcpu: 1, Memory: ByteSize.FromGiB(2.6)) };
        Assessment.Of(Small.Lab(Small.Host("kiln", gib)).WithGuestOn(guest, "kiln")).Hosts[0].Memory.Fit.ShouldBe(fit);
    }

    [Fact]
    public void Flash_takes_system_disks_and_the_large_pool_takes_bulk()
    {
        var host = Small.Host("kiln") with
        {
            Disks =
            [
                new Disk("boot", "sda", ByteSize.FromGB(240), DiskKind.SataFlash, ["/"]),
                new Disk("flash", "nvme0n1", ByteSize.FromTB(1), DiskKind.NvmeFlash),
                new Disk("spin", "sdb", ByteSize.FromTB(8), DiskKind.Spinning),
            ],
            Pools =
            [
                new Pool("local", PoolLayout.Single, PoolFamily.BlockArray, ["boot"]),
                new Pool("clay", PoolLayout.Single, PoolFamily.BlockArray, ["spin"]),
                new Pool("ember", PoolLayout.Single, PoolFamily.BlockArray, ["flash"]),
            ],
        };
        var lab = Small.Lab(host).WithGuestOn(Small.Guest("films", "media-library"), "kiln");

        lab.Guests[0].Placement.ShouldBe(new Placement(new HostId("kiln"), "ember", "clay"));
    }

    [Fact]
    public void A_guest_that_moves_keeps_its_pool_names_where_the_other_host_has_them()
    {
        var cellar = Small.Host("cellar") with
        {
            Disks =
            [
                new Disk("a", "sda", ByteSize.FromTB(4), DiskKind.NvmeFlash),
                new Disk("b", "sdb", ByteSize.FromTB(2), DiskKind.NvmeFlash),
            ],
            Pools =
            [
                new Pool("vault", PoolLayout.Single, PoolFamily.BlockArray, ["a"]),
                new Pool("ember", PoolLayout.Single, PoolFamily.BlockArray, ["b"]),
            ],
        };
        var lab = Small
            .Lab(Small.Host("kiln"), cellar)
            .WithGuestOn(Small.Guest("notes"), "kiln")
            .With(GuestEdits.Place(new GuestId("notes"), new HostId("cellar")));

        lab.Guests[0].Placement!.SystemPool.ShouldBe("ember");
    }
}
