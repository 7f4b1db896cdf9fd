using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Disks;

/// <summary>Wear, prices, growth, and what people type.</summary>
public class DiskSumsTests
{
    private static readonly DateOnly Today = new(2026, 11, 20);

    [Fact]
    [Reference("arithmetic: 600 TB written ÷ (40 GB a day × 2) ÷ 365.25")]
    public void Flash_rated_for_600_TB_lasts_20_5_years_at_40_GB_a_day() =>
        FlashWear.Years(ByteSize.FromTB(600), ByteSize.FromGB(40)).ShouldBe(20.5, 0.05);

    [Fact]
    [Reference("JEDEC JESD218: over-provisioning = (physical − user) ÷ user capacity")]
    public void Flash_of_256_GB_with_200_used_is_28_percent_over_provisioned() =>
        FlashWear.OverProvisioning(ByteSize.FromGB(256), ByteSize.FromGB(200)).ShouldBe(0.28, 1e-9);

    [Fact]
    [Reference("definition: rated bytes ÷ (capacity × days of warranty)")]
    public void One_drive_write_a_day_for_five_years_is_1826_times_its_capacity() =>
        FlashWear.DriveWritesPerDay(ByteSize.FromTB(1826.25), ByteSize.FromTB(1), 5).ShouldBe(1, 1e-9);

    [Fact]
    [Trade]
    public void A_recertified_disk_at_239_costs_60_percent_of_a_new_one_at_400()
    {
        var disk = new DiskSpec(ByteSize.FromTB(20));
        var usable = ByteSize.FromTB(80);
        var recertified = PoolCost.Of(new DiskOffer(disk, 239, DiskCondition.Recertified, 2), 6, usable)!;
        var fresh = PoolCost.Of(new DiskOffer(disk, 400), 6, usable)!;
        (recertified.PerUsableTB / fresh.PerUsableTB).ShouldBe(0.6, 0.005);
        fresh.PerUsableTB.ShouldBe(30, 1e-9);
        fresh.PerUsableTBYear!.Value.ShouldBe(6, 1e-9);
        // Less warranty eats the lower price: by the year it is the dearer one.
        recertified.PerUsableTBYear!.Value.ShouldBeGreaterThan(fresh.PerUsableTBYear.Value);
        PoolCost.Of(new DiskOffer(disk, 1), 1, ByteSize.Zero).ShouldBeNull();
    }

    [Fact]
    public void A_volume_that_grows_evenly_reaches_its_line_on_the_day_arithmetic_says()
    {
        var growth = new PoolGrowth([new VolumeGrowth("films", ByteSize.FromGB(500), ByteSize.FromGB(50))]);
        // 500 GB to go at 600 GB a year: 10 months.
        var day = growth.Reaches(ByteSize.FromTB(1), Today)!.Value;
        (day.DayNumber - Today.DayNumber).ShouldBeInRange((int)(365.25 * 10 / 12) - 1, (int)(365.25 * 10 / 12) + 2);
    }

    [Fact]
    public void Growth_by_a_share_doubles_at_the_time_its_logarithm_says()
    {
        var growth = new PoolGrowth([new VolumeGrowth("photos", ByteSize.FromTB(1), ShareAYear: 0.2)]);
        var days = growth.Reaches(ByteSize.FromTB(2), Today)!.Value.DayNumber - Today.DayNumber;
        (days / 365.25).ShouldBe(Math.Log(2) / Math.Log(1.2), 0.01);
    }

    [Fact]
    public void What_is_reached_is_reached_today_and_what_stands_still_never()
    {
        var still = new PoolGrowth([new VolumeGrowth("maps", ByteSize.FromTB(1))]);
        still.Reaches(ByteSize.FromTB(1), Today).ShouldBe(Today);
        still.Reaches(ByteSize.FromTB(1.1), Today).ShouldBeNull();
        new PoolGrowth([]).Reaches(ByteSize.FromTB(1), Today).ShouldBeNull();
    }

    [Fact]
    public void Quicker_growth_is_never_later()
    {
        var any =
            from now in Gen.Int[1, 5000]
            from month in Gen.Int[0, 500]
            from share in Gen.Double[0, 2]
            from line in Gen.Int[1, 50_000]
            from scale in Gen.Double[1, 3]
            select (
                growth: new PoolGrowth([new VolumeGrowth("x", ByteSize.FromGB(now), ByteSize.FromGB(month), share)]),
                line: ByteSize.FromGB(line),
                scale
            );
        any.Holds(sample =>
            (sample.growth.Reaches(sample.line, Today, sample.scale) ?? DateOnly.MaxValue)
            <= (sample.growth.Reaches(sample.line, Today) ?? DateOnly.MaxValue)
        );
    }

    [Theory]
    [InlineData("6x20TB", 6, 120)]
    [InlineData("1x6TB,1x2TB,1x1.5TB", 3, 9.5)]
    [InlineData(" 2 x 960GB , 4TB ", 3, 5.92)]
    [InlineData("2x1.92TB:nvme-flash", 2, 3.84)]
    public void Disks_are_typed_as_count_and_size(string typed, int count, double tb)
    {
        var disks = DiskText.Disks(typed);
        disks.Count.ShouldBe(count);
        disks.Sum(d => d.Size.TB).ShouldBe(tb, 1e-9);
        DiskText.Disks(DiskText.Word(disks)).ShouldBe(disks);
    }

    [Theory]
    [InlineData("", "Say how many disks and how large")]
    [InlineData("0x2TB", "is no disk")]
    [InlineData("3x20XB", "not «20XB»")]
    [InlineData("manyx2TB", "a number of disks up to 240")]
    [InlineData("9999x2TB", "a number of disks up to 240")]
    [InlineData("200x1TB,200x1TB", "up to 240 are reckoned with")]
    [InlineData("2x0TB", "is no disk")]
    [InlineData("2x4TB:tape", "one of spinning, sata-flash, nvme-flash")]
    public void Wrong_disks_get_a_plain_message(string typed, string says) =>
        Should.Throw<Refused>(() => DiskText.Disks(typed)).Message.ShouldContain(says);

    [Theory]
    [InlineData("parity9", "There is no layout «parity9»")]
    [InlineData("0*parity2", "a number of groups from 1 to 60")]
    [InlineData("x*parity2", "a number of groups")]
    [InlineData("", "There is no layout «»")]
    public void A_wrong_layout_gets_a_plain_message(string typed, string says) =>
        Should.Throw<Refused>(() => DiskText.Layout(typed)).Message.ShouldContain(says);
}
