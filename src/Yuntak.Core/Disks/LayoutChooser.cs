using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>Every sensible way to join disks, and the one recommended with reasons.</summary>
public static class LayoutChooser
{
    private const int WidestGroup = 12;
    private const int MostCounts = 48;
    private const int MostWithParityDisks = 24;
    private static readonly Share NearlyAsMuch = new(0.8);
    private static readonly Share MuchLeftOver = new(0.1);

    /// <summary>Every sensible way for disks that are there, most room first.</summary>
    /// <param name="disks">The disks; at least one.</param>
    /// <param name="offer">What one of them costs; null without prices.</param>
    /// <param name="ageYears">Their age.</param>
    /// <param name="spareReady">Whether a spare lies ready.</param>
    public static IReadOnlyList<LayoutCandidate> For(
        IReadOnlyList<DiskSpec> disks,
        DiskOffer? offer = null,
        double ageYears = 0,
        bool spareReady = false
    )
    {
        var condition = offer?.Condition ?? DiskCondition.New;
        List<PoolPlan> plans = [.. Ways(disks).Select(w => PoolPlan.Of(w.Groups, w.Family, disks, ageYears, spareReady, condition))];
        return Marked([.. plans.OrderByDescending(p => p.Room.Usable).ThenBy(p => p.Risk.LossPerYear)], offer);
    }

    /// <summary>The fewest disks of one kind that give room and survive failures, one way for each layout, the cheapest first.</summary>
    /// <param name="usable">The room needed.</param>
    /// <param name="survives">Failures to survive, whichever disks they are.</param>
    /// <param name="offer">The disk to buy.</param>
    /// <param name="spareReady">Whether a spare will lie ready.</param>
    public static IReadOnlyList<LayoutCandidate> ForNeed(ByteSize usable, int survives, DiskOffer offer, bool spareReady = false)
    {
        Dictionary<(PoolLayout, PoolFamily), PoolPlan> found = [];
        for (var count = 1; count <= MostCounts; count++)
        {
            DiskSpec[] disks = [.. Enumerable.Repeat(offer.Disk, count)];
            foreach (var way in Ways(disks))
            {
                var key = (way.Groups[0].Layout, way.Family);
                if (found.ContainsKey(key))
                {
                    continue;
                }

                var plan = PoolPlan.Of(way.Groups, way.Family, disks, offer.AgeYears, spareReady, offer.Condition);
                if (plan.Room.Usable >= usable && plan.Risk.Survives >= survives)
                {
                    found[key] = plan;
                }
            }
        }

        return Marked([.. found.Values.OrderBy(p => p.Disks.Count).ThenBy(p => p.Risk.LossPerYear)], offer);
    }

    /// <summary>Why the recommended way is recommended, one plain sentence each.</summary>
    public static IEnumerable<string> Reasons(PoolPlan plan)
    {
        var largest = plan.Disks.Max(d => d.Size);
        yield return $"It survives {Numbers.Count(plan.Risk.Survives, "failure")} and keeps {plan.Room.Usable.ToDecimalString()} of {plan.Room.Raw.ToDecimalString()}.";
        if (plan.Disks.All(d => d.Kind is DiskKind.SataFlash or DiskKind.NvmeFlash))
        {
            yield return "Flash is for guest disks: mirrors write small blocks fastest.";
        }
        else if (plan.Layout.ParityDisks() >= 2)
        {
            yield return largest >= ParityAdvice.LargeDisk
                ? $"With disks of {largest.ToDecimalString()} a rebuild takes {Numbers.Short(Math.Ceiling(plan.Risk.RebuildHours))} hours; a second disk may fail in them."
                : "From 5 disks on, two parity disks are common practice.";
        }

        if (plan.Layout.IsDedicated())
        {
            yield return "The disks differ in size: each counts whole, and each can be read by itself.";
        }

        yield return $"It grows with {plan.Grows}.";
    }

    private static IReadOnlyList<LayoutCandidate> Marked(IReadOnlyList<PoolPlan> plans, DiskOffer? offer)
    {
        var recommended = Recommended(plans);
        return
        [
            .. plans.Select(p => new LayoutCandidate(
                p,
                offer is null ? null : PoolCost.Of(offer, p.Disks.Count, p.Room.Usable),
                plans.All(o => !Beats(o, p)),
                p == recommended
            )),
        ];
    }

    private static bool Beats(PoolPlan a, PoolPlan b) =>
        a.Room.Usable >= b.Room.Usable
        && a.Risk.LossPerYear <= b.Risk.LossPerYear
        && a.Disks.Count <= b.Disks.Count
        && (a.Room.Usable > b.Room.Usable || a.Risk.LossPerYear < b.Risk.LossPerYear || a.Disks.Count < b.Disks.Count);

    /// <summary>Common practice: mirrors for flash, two parity disks from 5 disks, from 8 TB or past five years, one below; dedicated parity where sizes differ much.</summary>
    private static PoolPlan? Recommended(IReadOnlyList<PoolPlan> plans)
    {
        var safe = plans.Where(p => p.Risk.Survives > 0).ToList();
        if (safe.Count == 0)
        {
            return plans.Count == 0 ? null : plans[0];
        }

        var disks = safe[0].Disks;
        if (disks.All(d => d.Kind is DiskKind.SataFlash or DiskKind.NvmeFlash))
        {
            return safe.Where(p => p.Layout is PoolLayout.Mirror or PoolLayout.StripedMirrors).MaxBy(p => p.Room.Usable) ?? safe[0];
        }

        var wanted = ParityAdvice.Wanted(disks.Count, disks.Max(d => d.Size), safe[0].AgeYears);
        var spread = disks.Distinct().Count() > 1 ? safe : safe.FindAll(p => !p.Layout.IsDedicated());
        var careful = spread.FindAll(p => p.Risk.Survives >= wanted);
        if (careful.Count == 0)
        {
            careful = spread;
        }

        var most = careful.MaxBy(p => p.Room.Usable)!;
        // A copy-on-write pool notices when a disk lies: it is taken where it keeps nearly as much.
        return careful
                .Where(p => p.Family == PoolFamily.CopyOnWrite && p.Room.Usable.ShareOf(most.Room.Usable) >= NearlyAsMuch)
                .Where(p => p.LeftOver.ShareOf(p.Room.Raw) <= MuchLeftOver)
                .MaxBy(p => p.Room.Usable)
            ?? most;
    }

    private static IEnumerable<(IReadOnlyList<DiskGroup> Groups, PoolFamily Family)> Ways(IReadOnlyList<DiskSpec> disks)
    {
        ByteSize[] sizes = [.. disks.Select(d => d.Size).OrderDescending()];
        foreach (var family in Enum.GetValues<PoolFamily>())
        {
            foreach (var layout in Enum.GetValues<PoolLayout>().Where(l => !l.IsDedicated() && Sensible(l, sizes.Length)))
            {
                yield return ([new DiskGroup(layout, [.. sizes])], family);
            }

            foreach (var layout in new[] { PoolLayout.Parity1, PoolLayout.Parity2, PoolLayout.Parity3 })
            {
                for (var groups = 2; groups * (layout.FewestDisks() + 1) <= sizes.Length; groups++)
                {
                    if (sizes.Length % groups == 0 && sizes.Length / groups <= WidestGroup)
                    {
                        yield return (DiskGroup.Split(layout, sizes, groups), family);
                    }
                }

                if (BySize(layout, sizes) is { } mixed)
                {
                    yield return (mixed, family);
                }
            }
        }

        foreach (
            var layout in new[] { PoolLayout.Dedicated1, PoolLayout.Dedicated2 }.Where(l =>
                sizes.Length > l.FewestDisks() && sizes.Length <= MostWithParityDisks
            )
        )
        {
            yield return ([new DiskGroup(layout, [.. sizes])], PoolFamily.BlockArray);
        }
    }

    private static bool Sensible(PoolLayout layout, int disks) =>
        layout switch
        {
            PoolLayout.Single => disks == 1,
            PoolLayout.Stripe => disks > 1,
            PoolLayout.Mirror => disks is 2 or 3,
            PoolLayout.StripedMirrors => disks >= 4,
            PoolLayout.Parity1 or PoolLayout.Parity2 or PoolLayout.Parity3 or PoolLayout.Dedicated1 or PoolLayout.Dedicated2 => disks
                > layout.FewestDisks()
                && disks <= WidestGroup + layout.ParityDisks(),
        };

    /// <summary>A group for each size, where there are at least two sizes, enough disks of each, and equal groups would not come to the same.</summary>
    private static List<DiskGroup>? BySize(PoolLayout layout, ByteSize[] sizes)
    {
        var classes = sizes.GroupBy(s => s).ToList();
        var equal = classes.All(c => c.Count() == classes[0].Count());
        return classes.Count < 2 || classes.Any(c => c.Count() <= layout.FewestDisks()) || (equal && classes[0].Count() <= WidestGroup)
            ? null
            : [.. classes.Select(c => new DiskGroup(layout, [.. c]))];
    }
}
