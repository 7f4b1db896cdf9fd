using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Disks;

public class PoolProposalTests
{
    [Fact]
    public void The_boot_disk_stays_with_the_host_and_equal_kinds_are_joined()
    {
        var pools = Proposed([Boot(), Flash(1), Flash(2), Spinning(1), Spinning(2), Spinning(3)]);

        pools
            .Select(p => (p.Name, p.Layout))
            .ShouldBe(
                [("flash", PoolLayout.Mirror), ("bulk", PoolLayout.Mirror)],
                "three copies of 8 TB disks: single parity is thin from that size"
            );
        pools.SelectMany(p => p.DiskIds).ShouldNotContain("boot");
    }

    [Theory]
    [Trade]
    [InlineData(3, 4, PoolLayout.Parity1)]
    [InlineData(4, 4, PoolLayout.Parity1)]
    [InlineData(4, 16, PoolLayout.Parity2)]
    [InlineData(6, 2, PoolLayout.Parity2)]
    public void How_many_failures_to_survive_follows_number_and_size(int count, double terabytes, PoolLayout layout) =>
        Proposed([Boot(), .. Enumerable.Range(1, count).Select(n => Spinning(n) with { Size = ByteSize.FromTB(terabytes) })])
            .Single()
            .Layout.ShouldBe(layout);

    [Fact]
    public void No_proposal_is_one_that_a_rule_minds_at_once() =>
        Gen.Select(Gen.Int[1, 8], Gen.Int[1, 20], Gen.Int[0, 70_000])
            .Holds(
                sample =>
                {
                    var (count, terabytes, hours) = sample;
                    Disk[] disks =
                    [
                        Boot(),
                        .. Enumerable.Range(1, count).Select(n => Spinning(n) with { Size = ByteSize.FromTB(terabytes), HoursRun = hours }),
                    ];
                    var lab = Small.Lab(Small.Host("kiln") with { Disks = [.. disks], Pools = Proposed(disks) });
                    Assessment.Of(lab).Findings.ShouldNotContain(f => f.Rule.Id == "disks.thin-parity");
                },
                iter: 100
            );

    [Fact]
    [Trade]
    public void From_five_disks_on_two_of_them_hold_parity() =>
        Proposed([Boot(), .. Enumerable.Range(1, 5).Select(Spinning)]).Single().Layout.ShouldBe(PoolLayout.Parity2);

    [Fact]
    public void Where_the_boot_disk_is_all_there_is_guests_share_it() => Proposed([Boot()]).Single().DiskIds.ShouldBe(["boot"]);

    [Fact]
    public void Sticks_cards_and_disks_in_use_are_left_alone()
    {
        Disk stick = new("stick", "sdx", ByteSize.FromGB(64), DiskKind.Usb);
        Disk used = new("used", "sdy", ByteSize.FromTB(4), DiskKind.Spinning, ["/srv/photos"]);
        Proposed([Boot(), stick]).SelectMany(p => p.DiskIds).ShouldBe(["boot"]);
        Proposed([Boot(), stick, used]).ShouldBeEmpty("the boot disk of a host that has others is not offered");
    }

    [Fact]
    public void No_disks_give_no_pool() => Proposed([]).ShouldBeEmpty();

    [Fact]
    public void Every_proposal_is_one_the_edits_accept()
    {
        Disk[] disks = [Boot(), Flash(1), .. Enumerable.Range(1, 7).Select(Spinning)];
        var lab = Small.Lab(Small.Host("kiln") with { Disks = [.. disks], Pools = [] });
        foreach (var pool in Proposed(disks))
        {
            lab = lab.With(HostEdits.AddPool(lab.Hosts[0].Id, pool));
        }

        lab.Hosts[0].Pools.Count.ShouldBe(2);
    }

    private static ValueList<Pool> Proposed(params Disk[] disks) => PoolProposal.For(HostShapes.Host.Blank with { Disks = [.. disks] });

    private static Disk Boot() => new("boot", "sda", ByteSize.FromGB(240), DiskKind.SataFlash, ["/"]);

    private static Disk Flash(int n) => new($"flash-{n}", $"nvme{n}n1", ByteSize.FromTB(1.92), DiskKind.NvmeFlash);

    private static Disk Spinning(int n) => new($"spin-{n}", $"sd{n}", ByteSize.FromTB(8), DiskKind.Spinning);
}
