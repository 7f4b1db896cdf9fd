using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Bench;

/// <summary>What to buy when a pool has to grow.</summary>
public class PoolNextTests
{
    [Theory]
    [Trade]
    [InlineData(PoolLayout.Parity2, 6, 6, 4, 32)]
    [InlineData(PoolLayout.StripedMirrors, 4, 2, 4, 12)]
    [InlineData(PoolLayout.Dedicated1, 4, 1, 4, 16)]
    [InlineData(PoolLayout.Mirror, 2, 2, 8, 8)]
    [InlineData(PoolLayout.Single, 1, 1, 8, 8)]
    [InlineData(PoolLayout.Stripe, 2, 1, 4, 12)]
    public void Each_layout_grows_its_own_way(PoolLayout layout, int disks, int buy, double sizeTB, double usableTB)
    {
        var host = Small.Host("kiln") with
        {
            Disks = [.. Enumerable.Range(0, disks).Select(n => new Disk($"d{n}", $"sd{n}", ByteSize.FromTB(4), DiskKind.Spinning))],
            Pools = [new Pool("clay", layout, PoolFamily.BlockArray, [.. Enumerable.Range(0, disks).Select(n => $"d{n}")])],
        };
        var next = PoolNext.Of(Assessment.Of(Small.Lab(host)).Hosts[0].Pools[0])!;

        next.Count.ShouldBe(buy);
        next.Size.TB.ShouldBe(sizeTB, 1e-9);
        next.Room.Usable.TB.ShouldBe(usableTB, 1e-9);
    }

    [Fact]
    public void A_pool_without_disks_has_no_next_step()
    {
        var lab = Small.Lab(Small.Host("kiln")).Losing("kiln-data");
        PoolNext.Of(Assessment.Of(lab).Hosts[0].Pools[0]).ShouldBeNull();
    }
}
