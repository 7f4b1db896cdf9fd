using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Disks;

/// <summary>Every sensible way to join disks, what nothing beats, and the one recommended.</summary>
public class LayoutChooserTests
{
    private static readonly PoolLayout[] MoreAndMoreParity =
    [
        PoolLayout.Stripe,
        PoolLayout.Parity1,
        PoolLayout.Parity2,
        PoolLayout.Parity3,
    ];

    [Fact]
    [Trade]
    public void Unequal_disks_with_a_parity_disk_keep_3_5_TB_behind_the_6_TB_one()
    {
        var plan = PoolPlan.Of(PoolLayout.Dedicated1, 1, PoolFamily.BlockArray, DiskText.Disks("1x1.5TB,1x6TB,1x2TB"));
        plan.Room.Usable.TB.ShouldBe(3.5, 1e-9);
        plan.Groups[0].Disks[0].Size.TB.ShouldBe(6, 1e-9);
        plan.Groups[0].ParityIsLargeEnough.ShouldBeTrue();
        new DiskGroup(
            PoolLayout.Dedicated1,
            [new DiskSpec(ByteSize.FromTB(2)), new DiskSpec(ByteSize.FromTB(6))]
        ).ParityIsLargeEnough.ShouldBeFalse();
    }

    [Fact]
    public void Groups_add_up()
    {
        var plan = PoolPlan.Of(PoolLayout.Parity2, 2, PoolFamily.BlockArray, DiskText.Disks("12x4TB"));
        plan.Room.Usable.TB.ShouldBe(2 * 4 * 4, 1e-9);
        plan.Risk.Survives.ShouldBe(2);
        plan.Words.ShouldBe("2 × double parity of 6 disks");
        plan.Risk.LossPerYear.ShouldBe(
            2 * PoolPlan.Of(PoolLayout.Parity2, 1, PoolFamily.BlockArray, DiskText.Disks("6x4TB")).Risk.LossPerYear,
            1e-12
        );
    }

    [Fact]
    public void Two_sizes_become_two_groups_and_what_is_left_over_is_shown()
    {
        var disks = DiskText.Disks("4x8TB,4x4TB");
        var found = LayoutChooser.For(disks);
        var bySize = found.First(c => c.Plan.Groups.Count == 2 && c.Plan.Groups[0].Largest != c.Plan.Groups[1].Largest);
        bySize.Plan.LeftOver.ShouldBe(ByteSize.Zero);
        var one = found.First(c => c.Plan is { Layout: PoolLayout.Parity2, Groups.Count: 1, Family: PoolFamily.BlockArray });
        one.Plan.LeftOver.TB.ShouldBe(16, 1e-9);
        one.Plan.Warnings().ShouldContain(w => w.StartsWith("Disks of different sizes: 16"));
        found.Single(c => c.Recommended).Plan.LeftOver.ShouldBe(ByteSize.Zero);
    }

    [Theory]
    [Trade]
    [InlineData("6x20TB", "double parity of 6 disks")]
    [InlineData("3x4TB", "single parity of 3 disks")]
    [InlineData("2x1.92TB:nvme-flash", "mirror of 2 disks")]
    [InlineData("6x1.92TB:nvme-flash", "striped mirrors of 6 disks")]
    [InlineData("1x6TB,1x2TB,1x1.5TB", "2 data disks with a parity disk")]
    [InlineData("1x4TB", "single disk")]
    public void The_one_recommended_follows_common_practice(string disks, string words)
    {
        var plan = LayoutChooser.For(DiskText.Disks(disks)).Single(c => c.Recommended).Plan;
        plan.Words.ShouldBe(words);
        LayoutChooser.Reasons(plan).ShouldAllBe(r => r.EndsWith('.'));
    }

    [Fact]
    public void What_is_marked_is_beaten_by_nothing_and_what_is_not_is_beaten()
    {
        foreach (var text in new[] { "6x20TB", "12x4TB", "1x6TB,1x2TB,1x1.5TB", "4x8TB,4x4TB", "1x4TB" })
        {
            var found = LayoutChooser.For(DiskText.Disks(text));
            foreach (var candidate in found)
            {
                var beaten = found.Any(o =>
                    o.Plan.Family == candidate.Plan.Family
                    && o.Plan.Room.Usable >= candidate.Plan.Room.Usable
                    && o.Plan.Risk.LossPerYear <= candidate.Plan.Risk.LossPerYear
                    && (o.Plan.Room.Usable > candidate.Plan.Room.Usable || o.Plan.Risk.LossPerYear < candidate.Plan.Risk.LossPerYear)
                );
                candidate.Best.ShouldBe(!beaten, $"{text}: {candidate.Plan.Words}");
            }

            found.Count(c => c.Best).ShouldBeGreaterThan(0);
        }
    }

    [Fact]
    public void A_need_is_met_with_the_fewest_disks_and_never_missed()
    {
        var offer = new DiskOffer(new DiskSpec(ByteSize.FromTB(4)), 100);
        var found = LayoutChooser.ForNeed(ByteSize.FromTB(20), 2, offer);
        found.ShouldNotBeEmpty();
        found.ShouldAllBe(c => c.Plan.Room.Usable.TB >= 20 && c.Plan.Risk.Survives >= 2);
        var array = found.First(c => c.Plan is { Layout: PoolLayout.Parity2, Family: PoolFamily.BlockArray });
        array.Plan.Disks.Count.ShouldBe(7, "5 × 4 TB and two for parity");
        array.Cost!.PerUsableTB.ShouldBe(35, 1e-9);
        found.Select(c => c.Plan.Disks.Count).ShouldBeInOrder();
        LayoutChooser.ForNeed(ByteSize.FromTB(4000), 2, offer).ShouldBeEmpty();
    }

    [Fact]
    public void Usable_never_exceeds_raw_and_never_rises_with_more_parity()
    {
        var any =
            from sizes in Gen.Int[1, 200].Array[4, 16]
            from family in Gen.Enum<PoolFamily>()
            select (sizes.Select(s => new DiskSpec(ByteSize.FromGB(s * 100))).ToArray(), family);
        any.Holds(
            (disks, family) =>
            {
                PoolPlan[] plans = [.. MoreAndMoreParity.Select(l => PoolPlan.Of(l, 1, family, disks))];
                plans.ShouldAllBe(p => p.Room.Usable <= p.Room.Raw);
                foreach (var (less, more) in plans.Zip(plans.Skip(1)))
                {
                    more.Risk.Survives.ShouldBeGreaterThan(less.Risk.Survives);
                    more.Room.Usable.ShouldBeLessThanOrEqualTo(less.Room.Usable);
                    more.Risk.LossPerYear.ShouldBeLessThanOrEqualTo(less.Risk.LossPerYear);
                }

                if (disks.Length > 3)
                {
                    PoolPlan
                        .Of(PoolLayout.Dedicated2, 1, PoolFamily.BlockArray, disks)
                        .Room.Usable.ShouldBeLessThanOrEqualTo(
                            PoolPlan.Of(PoolLayout.Dedicated1, 1, PoolFamily.BlockArray, disks).Room.Usable
                        );
                }
            }
        );
    }

    [Theory]
    [InlineData("parity3", "3x2TB", "triple parity needs at least 4 disks; 3 are given.")]
    [InlineData("2*parity2", "5x2TB", "2 groups of double parity need at least 6 disks; 5 are given.")]
    [InlineData("single", "2x2TB", "A single disk is one disk; 2 are given.")]
    [InlineData("mirror", "1x2TB", "mirror needs at least 2 disks; 1 is given.")]
    public void Too_few_disks_get_a_plain_message(string layout, string disks, string says)
    {
        var (kind, groups) = DiskText.Layout(layout);
        Should.Throw<Refused>(() => PoolPlan.Of(kind, groups, PoolFamily.BlockArray, DiskText.Disks(disks))).Message.ShouldContain(says);
    }

    [Theory]
    [Trade]
    [InlineData("parity1", "6x4TB", 0, "Single parity over 6 disks")]
    [InlineData("parity1", "3x8TB", 0, "Single parity with disks of 8")]
    [InlineData("parity1", "3x4TB", 6, "Single parity with disks of 6 years")]
    [InlineData("stripe", "2x4TB", 0, "One failed disk loses data")]
    [InlineData("parity1", "2x4TB,1x4TB:sata-flash", 0, "Spinning disks and flash in one pool")]
    public void What_to_mind_is_said(string layout, string disks, double age, string says) =>
        PoolPlan
            .Of(DiskText.Layout(layout).Layout, 1, PoolFamily.BlockArray, DiskText.Disks(disks), ageYears: age)
            .Warnings()
            .ShouldContain(w => w.StartsWith(says));

    [Fact]
    public void Small_blocks_on_parity_are_warned_of_with_the_share_that_remains() =>
        PoolPlan
            .Of(PoolLayout.Parity2, 1, PoolFamily.CopyOnWrite, DiskText.Disks("6x4TB"), block: 8 * 1024)
            .Warnings()
            .ShouldContain(w => w.Contains("at 8\u202FKiB 33"));

    [Fact]
    public void Sixty_disks_can_be_joined_in_many_ways() => LayoutChooser.For(DiskText.Disks("60x4TB")).Count.ShouldBeGreaterThan(20);
}
