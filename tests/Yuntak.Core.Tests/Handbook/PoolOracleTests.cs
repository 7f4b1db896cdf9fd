using CsCheck;
using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Handbook;

/// <summary>Groups, degraded room and odds of pools against the handbook's sums done a second time; <see cref="Oracle"/>.</summary>
public class PoolOracleTests
{
    private const string Chapter3 = "handbook, chapter 3, done again in plain arithmetic";
    private static readonly double[] SizesTB = [1, 2, 4, 6, 8, 12, 20];

    [Fact]
    [Reference(Chapter3 + ": every cut tried")]
    public void Groups_follow_sizes_whatever_the_order_of_the_list() =>
        (
            from sizes in Pick.From(SizesTB).Array[6, 12]
            from parity in Gen.Int[1, 3]
            from groups in Gen.Int[2, 3]
            from shuffled in Gen.Shuffle(sizes)
            where sizes.Length >= groups * (parity + 1)
            select (sizes, shuffled, parity, groups)
        ).Holds(
            sample =>
            {
                var (sizes, shuffled, parity, groups) = sample;
                var layout = PoolLayout.Parity1 + (parity - 1);
                var room = Plan(layout, groups, sizes).Room.AfterParity.TB;
                Plan(layout, groups, shuffled).Room.AfterParity.TB.ShouldBe(room, 1e-9);
                room.ShouldBe(Oracle.ParityRoom(sizes, parity, groups), 1e-9);
            },
            iter: 400
        );

    [Theory]
    [Trade]
    [InlineData("4x8TB,5x2TB", "2*parity2", 22)]
    [InlineData("5x2TB,4x8TB", "2*parity2", 22)]
    [InlineData("17x4TB", "2*parity2", 52)]
    [InlineData("6x8TB,6x2TB", "4*parity1", 40)]
    public void Like_sizes_make_a_group(string disks, string layout, double tb)
    {
        var (kind, groups) = DiskText.Layout(layout);
        PoolPlan.Of(kind, groups, PoolFamily.BlockArray, DiskText.Disks(disks)).Room.Usable.TB.ShouldBe(tb, 1e-9);
    }

    [Fact]
    public void What_is_offered_comes_out_the_same_when_it_is_asked_for_and_when_it_is_planned() =>
        Pick.From("4x8TB,5x2TB", "17x4TB", "3x2TB,4x6TB,1x6TB", "29x8TB", "7x1TB,3x12TB,2x4TB")
            .Holds(text =>
            {
                var disks = DiskText.Disks(text);
                foreach (var way in LayoutChooser.For(disks))
                {
                    var (layout, groups) = DiskText.Layout(DiskText.Word(way.Plan.Layout, way.Plan.Groups.Count));
                    PoolPlan.Of(layout, groups, way.Plan.Family, disks).Room.ShouldBe(way.Plan.Room, $"{text} {way.Plan.Words}");
                    var planned = Budget(
                        layout,
                        way.Plan.Family,
                        groups,
                        [.. way.Plan.Layout.IsDedicated() ? disks.OrderByDescending(d => d.Size) : disks.Reverse()],
                        []
                    );
                    planned.Room.Usable.ShouldBe(way.Plan.Room.Usable, $"{text} {way.Plan.Words}, planned");
                    planned.Risk!.LossPerYear.ShouldBe(way.Plan.Risk.LossPerYear, 1e-12);
                }
            });

    [Theory]
    [Trade]
    [InlineData(17)]
    [InlineData(19)]
    [InlineData(23)]
    [InlineData(29)]
    public void A_prime_number_of_disks_gets_a_layout_that_survives_two(int disks)
    {
        var found = LayoutChooser.For(DiskText.Disks($"{disks}x4TB"));
        found.Single(c => c.Recommended).Plan.Risk.Survives.ShouldBeGreaterThanOrEqualTo(2);
        found.ShouldContain(c => c.Plan.Groups.Select(g => g.Disks.Count).Distinct().Count() == 2, "uneven groups are offered");
    }

    [Fact]
    public void A_pool_that_misses_disks_keeps_its_room_in_every_layout_while_it_stands()
    {
        foreach (var layout in Enum.GetValues<PoolLayout>())
        {
            var families = layout.IsDedicated() ? [PoolFamily.BlockArray] : Enum.GetValues<PoolFamily>();
            foreach (var family in families)
            {
                var count = layout == PoolLayout.Single ? 1 : 6;
                List<DiskSpec> disks = [.. Enumerable.Repeat(new DiskSpec(ByteSize.FromTB(4)), count)];
                var whole = Budget(layout, family, 1, disks, []);
                for (var missing = 1; missing <= Math.Min(layout.Survives(count), count - 1); missing++)
                {
                    var less = Budget(layout, family, 1, disks, [.. Enumerable.Range(0, missing)]);
                    less.Room.Usable.ShouldBe(whole.Room.Usable, $"{layout} {family}, {missing} missing");
                    less.IsLost.ShouldBeFalse();
                    less.Risk!.LossPerYear.ShouldBeGreaterThanOrEqualTo(whole.Risk!.LossPerYear, $"{layout}: a degraded pool is in danger");
                }
            }
        }
    }

    [Fact]
    public void A_lost_pool_says_so_once_and_not_that_its_room_is_too_small()
    {
        var host = Small.Host("kiln") with { Pools = [] };
        host = host with
        {
            Disks =
            [
                .. host.Disks,
                .. Enumerable.Range(0, 3).Select(n => new Disk($"p{n}", $"sd{n}", ByteSize.FromTB(4), DiskKind.Spinning)),
            ],
            Pools = [new Pool("vault", PoolLayout.Parity1, PoolFamily.BlockArray, ["p0", "p1", "p2"], ByteSize.FromTB(1))],
        };
        var lost = Small.Lab(host).Losing("p0", "p1");
        lost.Findings("kit.pool-lost").Count.ShouldBe(1);
        lost.Findings("bench.pool-over").ShouldBeEmpty();
        Small.Lab(host).Losing("p0").Findings("bench.pool-over").ShouldBeEmpty();
    }

    [Fact]
    [Reference(Chapter3 + ": the chain by hand, each group in its own time")]
    public void Odds_are_those_of_the_chain_with_each_group_in_its_own_time() =>
        (
            from large in Pick.From(SizesTB)
            from small in Pick.From(SizesTB)
            from many in Gen.Int[4, 8]
            from few in Gen.Int[4, 8]
            from parity in Gen.Int[1, 3]
            from years in Gen.Double[0, 8]
            from spare in Gen.Bool
            where large > small
            select (large, small, many, few, parity, years, spare)
        ).Holds(
            sample =>
            {
                var (large, small, many, few, parity, years, spare) = sample;
                List<DiskGroup> groups =
                [
                    new(PoolLayout.Parity1 + (parity - 1), [.. Enumerable.Repeat(new DiskSpec(ByteSize.FromTB(large)), many)]),
                    new(
                        PoolLayout.Parity1 + (parity - 1),
                        [.. Enumerable.Repeat(new DiskSpec(ByteSize.FromTB(small), DiskKind.NvmeFlash), few)]
                    ),
                ];
                // Chapter 3: rebuild rates of 180 MB/s for spinning disks, 1,500 for NVMe.
                (int, int, double, double)[] same = [(many, parity, large * 1e12, 180e6), (few, parity, small * 1e12, 1500e6)];
                var risk = PoolRisk.Of(groups, years, spare);
                Close(risk.LossPerYear, Oracle.Loss(same, years, spare));
                Close(risk.LossInBatch, Oracle.Loss(same, years, spare, batch: 10));
                risk.LossInBatch.ShouldBeGreaterThanOrEqualTo(risk.LossPerYear);

                var degraded = PoolRisk.Of([groups[0]], years, spare, missing: 1).LossPerYear;
                Close(degraded, Oracle.Loss([same[0]], years, spare, missingInFirst: 1));
            },
            iter: 300
        );

    [Fact]
    public void Compression_changes_the_room_of_a_copy_on_write_pool_and_says_how()
    {
        var host = Small.Host("kiln") with
        {
            Pools = [new Pool("ember", PoolLayout.Single, PoolFamily.CopyOnWrite, ["kiln-data"], Compression: 1.5)],
        };
        var pool = Stations.Assessment.Of(Small.Lab(host)).Hosts[0].Pools[0];
        pool.Room.Usable.ShouldBe(pool.Room.AfterReserve * 1.5);
        var figure = pool.Room.AsFigure(pool.Pool, 1);
        figure.Formula.ShouldContain("compression");
        figure.Inputs.ShouldContain(i => i.Label.Contains("compression") && i.ValueText == "1.5 ×");

        var array = host with { Pools = host.Pools.Change(_ => true, p => p with { Family = PoolFamily.BlockArray }) };
        Stations.Assessment.Of(Small.Lab(array)).Hosts[0].Pools[0].Room.Compression.ShouldBe(1);
    }

    private static void Close(double chance, double expected) => chance.ShouldBe(expected, Math.Max(expected * 1e-6, 1e-13));

    private static PoolPlan Plan(PoolLayout layout, int groups, IEnumerable<double> sizes) =>
        PoolPlan.Of(layout, groups, PoolFamily.BlockArray, [.. sizes.Select(s => new DiskSpec(ByteSize.FromTB(s)))]);

    private static PoolBudget Budget(PoolLayout layout, PoolFamily family, int groups, IReadOnlyList<DiskSpec> disks, int[] gone)
    {
        Disk[] there = [.. disks.Select((d, n) => new Disk($"p{n}", $"sd{n}", d.Size, d.Kind))];
        var host = Small.Host("kiln");
        host = host with
        {
            Disks = [.. host.Disks, .. there.Where((_, n) => !gone.Contains(n))],
            Pools = [new Pool("vault", layout, family, [.. there.Select(d => d.Id)], Groups: groups)],
        };
        return new PoolBudget(host, host.Pools[0], []);
    }
}
