using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Bench;

/// <summary>Where volumes belong; common practice without a source.</summary>
public class VolumeAdviceTests
{
    private static readonly Host Kiln = Small.Host("kiln") with
    {
        Disks =
        [
            .. Small.Host("kiln").Disks,
            .. Enumerable.Range(0, 6).Select(n => new Disk($"p{n}", $"sd{n}", ByteSize.FromTB(4), DiskKind.Spinning)),
        ],
        Pools =
        [
            .. Small.Host("kiln").Pools,
            new Pool("clay", PoolLayout.Mirror, PoolFamily.BlockArray, ["p0", "p1"]),
            new Pool("vault", PoolLayout.Parity1, PoolFamily.CopyOnWrite, ["p2", "p3", "p4"]),
            new Pool("local", PoolLayout.Single, PoolFamily.BlockArray, ["kiln-boot"]),
        ],
    };

    private static readonly Lab Lab = Small
        .Lab(Kiln)
        .WithGuestOn(Small.Guest("songs", "music", GuestKind.SystemContainer, new LoadValue("library", 100)), "kiln");

    [Theory]
    [Trade]
    [InlineData("ember", "clay", true, "It lies well.", true, "It lies well.")]
    [InlineData("clay", "ember", false, "Guest disks want flash: ember is.", false, "Bulk data does not need flash: clay has room for it.")]
    [InlineData("vault", "vault", false, "Small blocks waste room on parity", true, "It lies well.")]
    [InlineData("local", "local", false, "It lies on the boot disk", false, "It lies on the boot disk")]
    public void Each_volume_is_told_where_it_belongs(string system, string bulk, bool well, string says, bool bulkWell, string bulkSays)
    {
        var lab = Lab.With(GuestEdits.UsePools(new GuestId("songs"), system, bulk));
        var disk = Volume(lab, system, ContentKind.GuestDisks);
        disk.Well.ShouldBe(well);
        disk.Advice.ShouldStartWith(says);
        var data = Volume(lab, bulk, ContentKind.Bulk);
        data.Well.ShouldBe(bulkWell);
        data.Advice.ShouldStartWith(bulkSays);
        data.Size.ShouldBe(ByteSize.FromGB(100));
    }

    [Fact]
    public void A_pool_that_is_meant_for_something_else_says_so()
    {
        var lab = Lab.With(GuestEdits.UsePools(new GuestId("songs"), "ember", "clay"))
            .With(PoolEdits.Change(new HostId("kiln"), "clay", p => p with { Takes = [ContentKind.Backups] }));
        Volume(lab, "clay", ContentKind.Bulk).Advice.ShouldBe("This pool is meant for backups.");
    }

    private static VolumeAdvice Volume(Lab lab, string pool, ContentKind kind)
    {
        var host = Assessment.Of(lab).Hosts[0];
        return VolumeAdvice.Of(host, host.Pool(pool)!).Single(v => v.Kind == kind);
    }
}
