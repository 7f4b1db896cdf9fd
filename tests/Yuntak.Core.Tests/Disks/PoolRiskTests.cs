using CsCheck;
using Yuntak.Core.Disks;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Disks;

/// <summary>The odds of losing a pool, against the paper the chain comes from, closed forms, and dice.</summary>
public class PoolRiskTests
{
    private const string Paper = "Patterson, Gibson and Katz, A Case for Redundant Arrays of Inexpensive Disks, SIGMOD 1988";

    [Theory]
    [Reference(Paper + ": 100 data disks, 30,000 h to a failure, 1 h to repair; mirrored, groups of 10 and of 25 with one check disk")]
    [InlineData(2, 100, 4_500_000)]
    [InlineData(11, 10, 820_000)]
    [InlineData(26, 4, 346_000)]
    public void The_table_of_1988_comes_out_within_one_percent(int width, int groups, double hours) =>
        (BirthDeathChain.MeanHoursToLoss(width, 1, 1 / 30_000.0, 1) / groups).ShouldBe(hours, hours * 0.01);

    [Fact]
    [Reference("the closed form for one parity disk: ((2n − 1)λ + μ) / (n(n − 1)λ²)")]
    public void One_parity_disk_has_a_closed_form() =>
        (
            from disks in Gen.Int[2, 40]
            from failure in Gen.Double[1e-7, 1e-3]
            from repair in Gen.Double[1e-3, 10]
            select (disks, failure, repair)
        ).Holds(sample =>
        {
            var (n, l, m) = sample;
            var expected = (((2 * n) - 1) * l + m) / (n * (n - 1) * l * l);
            BirthDeathChain.MeanHoursToLoss(n, 1, l, m).ShouldBe(expected, expected * 1e-9);
        });

    [Fact]
    [Reference("the closed form for two parity disks, by hand from h₀ = 1/λ₀, hᵢ = (1 + μhᵢ₋₁)/λᵢ, in decimal arithmetic")]
    public void Rates_a_million_times_apart_lose_no_digits()
    {
        const decimal L = 0.000001m;
        const decimal M = 1m;
        var h0 = 1 / (8 * L);
        var h1 = (1 + (M * h0)) / (7 * L);
        var h2 = (1 + (M * h1)) / (6 * L);
        var expected = (double)(h0 + h1 + h2);
        BirthDeathChain.MeanHoursToLoss(8, 2, (double)L, (double)M).ShouldBe(expected, expected * 1e-10);
    }

    [Theory]
    [Reference("simulation: exponential failures and repairs, seeded dice")]
    [InlineData(4, 1)]
    [InlineData(6, 2)]
    [InlineData(5, 0)]
    [InlineData(7, 3)]
    public void Dice_agree_with_the_chain(int disks, int survives)
    {
        const double Failure = 0.02;
        const double Repair = 0.3;
        const int Throws = 20_000;
        var dice = new Random(19_880_601 + disks);
        double Wait(double rate) => -Math.Log(1 - dice.NextDouble()) / rate;
        var total = 0.0;
        for (var n = 0; n < Throws; n++)
        {
            for (var failed = 0; failed <= survives; )
            {
                var fails = (disks - failed) * Failure;
                var repairs = failed > 0 ? Repair : 0;
                total += Wait(fails + repairs);
                failed += dice.NextDouble() < fails / (fails + repairs) ? 1 : -1;
            }
        }

        var expected = BirthDeathChain.MeanHoursToLoss(disks, survives, Failure, Repair);
        (total / Throws).ShouldBe(expected, expected * 0.03);
    }

    [Theory]
    [Reference("arithmetic on data-sheet rates: 1 − (1 − r)^bits, 100 TB read")]
    [InlineData(1e-14, 0.9997)]
    [InlineData(1e-15, 0.551)]
    public void Reading_100_TB_meets_an_unreadable_sector_at_most_that_often(double rate, double share) =>
        PoolRisk.Unreadable(100e12 * 8, rate).ShouldBe(share, 0.0005);

    [Fact]
    [Trade]
    public void Rebuilding_20_TB_at_180_MB_a_second_takes_30_9_hours_and_a_scrub_at_seven_tenths_44_1()
    {
        var disk = new DiskSpec(ByteSize.FromTB(20));
        disk.RebuildHours.ShouldBe(30.9, 0.05);
        disk.ScrubHours.ShouldBe(20e12 / (0.7 * 180e6) / 3600, 1e-9);
    }

    [Theory]
    [Trade]
    [InlineData(DiskKind.Spinning, 180, 180)]
    [InlineData(DiskKind.SataFlash, 500, 450)]
    [InlineData(DiskKind.NvmeFlash, 2_500, 1_500)]
    public void What_nobody_measured_goes_in_a_row_at_what_its_kind_does_and_never_past_its_link(DiskKind kind, double row, double rebuild)
    {
        var disk = new DiskSpec(ByteSize.FromTB(1), kind);
        (disk.SequentialRate / 1e6, disk.RebuildRate / 1e6).ShouldBe((row, rebuild));
    }

    [Theory]
    [Trade]
    [InlineData(0, 0.015)]
    [InlineData(3.9, 0.015)]
    [InlineData(4, 0.025)]
    [InlineData(5.5, 0.025)]
    [InlineData(6, 0.05)]
    [InlineData(12, 0.05)]
    public void Disks_fail_more_often_as_they_age(double years, double share) => FailureRates.Annual(years).ShouldBe(share);

    [Fact]
    public void More_parity_less_loss_older_disks_more_and_a_spare_helps()
    {
        PoolRisk Risk(PoolLayout layout, double age = 0, bool spare = false, DiskCondition condition = DiskCondition.New) =>
            PoolRisk.Of(DiskGroup.Split(layout, [.. Enumerable.Repeat(new DiskSpec(ByteSize.FromTB(8)), 8)], 1), age, spare, condition);

        double[] falling =
        [
            .. new[] { PoolLayout.Stripe, PoolLayout.Parity1, PoolLayout.Parity2, PoolLayout.Parity3 }.Select(l => Risk(l).LossPerYear),
        ];
        falling.ShouldBeInOrder(SortDirection.Descending);
        Risk(PoolLayout.Parity2, 6).LossPerYear.ShouldBeGreaterThan(Risk(PoolLayout.Parity2).LossPerYear);
        Risk(PoolLayout.Parity2, spare: true).LossPerYear.ShouldBeLessThan(Risk(PoolLayout.Parity2).LossPerYear);
        Risk(PoolLayout.Parity2, condition: DiskCondition.Refurbished)
            .LossPerYear.ShouldBeGreaterThan(Risk(PoolLayout.Parity2).LossPerYear);
        Risk(PoolLayout.Parity2).Figure.Inputs.Count.ShouldBeGreaterThan(4);
    }

    [Fact]
    [Reference("1 − e^(−8,766 h / mean time to loss); one disk that fails at 1.5 % a year")]
    public void A_single_disk_is_lost_as_often_as_disks_fail() =>
        PoolRisk
            .Of([new DiskGroup(PoolLayout.Single, [new DiskSpec(ByteSize.FromTB(1))])])
            .LossPerYear.ShouldBe(1 - Math.Exp(-0.015), 1e-12);

    [Theory]
    [InlineData(0.086, "8.6\u202F%")]
    [InlineData(1 / 13_123.0, "1 in 13,000")]
    [InlineData(1e-12, "less than 1 in 1,000,000,000")]
    [InlineData(0, "less than 1 in 1,000,000,000")]
    public void Odds_are_said_so_that_people_can_hold_on_to_them(double share, string words) => Odds.Exactly(share).ShouldBe(words);

    [Fact]
    [Trade]
    public void Below_1_in_10_000_other_things_take_a_pool_first()
    {
        const string Rarer = "rarer than fire, theft or a slip";
        Odds.Words(1e-4).ShouldBe("1 in 10,000");
        Odds.Words(0.99e-4).ShouldBe(Rarer);
        Odds.Words(1e-9, 0.002).ShouldBe($"{Rarer}; 1 in 500 in one batch");
        Odds.Words(1e-9, 1e-7).ShouldBe(Rarer);
        PoolPlan
            .Of(PoolLayout.Parity2, 1, PoolFamily.BlockArray, DiskText.Disks("6x4TB"))
            .Risk.Figure.ValueText.ShouldStartWith("1 in ", Case.Sensitive, "the figure is one click away");
    }
}
