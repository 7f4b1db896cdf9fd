using CsCheck;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Disks;

public class PoolRoomTests
{
    [Theory]
    [Reference("sector arithmetic: D = ⌈B/a⌉, P = p·⌈D/(n−p)⌉, rounded up to a multiple of p + 1")]
    [InlineData(6, 1, 128, 0.800)]
    [InlineData(6, 1, 16, 0.667)]
    [InlineData(5, 2, 128, 0.5926)]
    [InlineData(6, 2, 8, 0.333)]
    [InlineData(8, 2, 128, 0.711)]
    [InlineData(8, 2, 1024, 0.7485)]
    public void Padding_depends_on_block_and_width(int disks, int parity, int blockKiB, double efficiency) =>
        PoolRoom.Efficiency(disks, parity, blockKiB * 1024).ShouldBe(efficiency, 0.0005);

    [Fact]
    [Trade]
    public void Six_disks_of_20_TB_with_single_parity_leave_about_100_before_padding_and_96_after()
    {
        var room = Room(PoolLayout.Parity1, PoolFamily.CopyOnWrite, 6, 20);

        room.Raw.TB.ShouldBe(120, 1e-6);
        room.AfterParity.TB.ShouldBe(100, 1e-6);
        room.AfterPadding.TB.ShouldBe(96, 1e-6);
    }

    [Fact]
    [Reference("sector arithmetic, as above")]
    public void Five_disks_of_2_TB_with_double_parity_leave_5_926_TB() =>
        Room(PoolLayout.Parity2, PoolFamily.CopyOnWrite, 5, 2).AfterPadding.TB.ShouldBe(5.926, 0.001);

    [Fact]
    [FromMemory]
    public void A_single_disk_pool_of_128_GiB_shows_133_GB() =>
        PoolRoom.Of(PoolLayout.Single, PoolFamily.CopyOnWrite, [ByteSize.FromGiB(128)]).Usable.TB.ShouldBe(0.1331, 0.0001);

    [Fact]
    public void A_block_array_pays_no_padding_and_no_reserve()
    {
        var room = Room(PoolLayout.Parity1, PoolFamily.BlockArray, 4, 4);
        room.Usable.ShouldBe(room.AfterParity);
        room.Comfort.TB.ShouldBe(0.8 * 12, 1e-6);
    }

    [Theory]
    [InlineData(PoolLayout.Single, 1, 4)]
    [InlineData(PoolLayout.Stripe, 3, 12)]
    [InlineData(PoolLayout.Mirror, 3, 4)]
    [InlineData(PoolLayout.StripedMirrors, 4, 8)]
    [InlineData(PoolLayout.Parity2, 6, 16)]
    [InlineData(PoolLayout.Parity3, 6, 12)]
    public void Each_layout_keeps_what_it_says(PoolLayout layout, int disks, double tb) =>
        Room(layout, PoolFamily.BlockArray, disks, 4).Usable.TB.ShouldBe(tb, 1e-6);

    [Fact]
    public void Too_few_disks_give_no_room() => Room(PoolLayout.Parity2, PoolFamily.BlockArray, 2, 4).Usable.ShouldBe(ByteSize.Zero);

    [Fact]
    public void Usable_never_exceeds_raw_and_the_chain_only_falls()
    {
        var any =
            from layout in Gen.Enum<PoolLayout>()
            from family in Gen.Enum<PoolFamily>()
            from disks in Gen.Long[1L << 28, 1L << 45].Select(b => new ByteSize(b)).Array[1, 16]
            select (layout, family, disks);
        any.Holds(sample =>
        {
            var (layout, family, disks) = sample;
            var room = PoolRoom.Of(layout, family, disks);
            return room.Raw >= room.AfterParity
                && room.AfterParity >= room.AfterPadding
                && room.AfterPadding >= room.Usable
                && room.Usable >= room.Comfort;
        });
    }

    [Fact]
    public void The_room_opens_as_a_chain_of_steps()
    {
        var pool = new Pool("clay", PoolLayout.Parity2, PoolFamily.CopyOnWrite, ["a", "b", "c", "d", "e", "f"]);
        var figure = Room(PoolLayout.Parity2, PoolFamily.CopyOnWrite, 6, 8).AsFigure(pool, 6);
        figure.Inputs.Select(i => i.Label).ShouldContain(l => l.Contains("padding"));
        figure.Inputs.Count.ShouldBe(4, "what is comfortable is no part of the room");
    }

    private static PoolRoom Room(PoolLayout layout, PoolFamily family, int disks, double tb) =>
        PoolRoom.Of(layout, family, [.. Enumerable.Repeat(ByteSize.FromTB(tb), disks)]);
}
