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
    private const int UnevenTried = 2;
    private const double MostLossInBatch = 0.01;
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

    /// <summary>Why none is recommended; null when one is.</summary>
    public static string? WhyNone(IReadOnlyList<LayoutCandidate> found) =>
        found.Count > 0 && found[0].Plan.MixesFlash
            ? "None is recommended: flash and spinning disks do better in pools of their own. Ask for each kind by itself."
            : null;

    /// <summary>Why the recommended way is recommended, one plain sentence each.</summary>
    public static IEnumerable<string> Reasons(PoolPlan plan)
    {
        yield return $"It survives {Numbers.Count(plan.Risk.Survives, "failure")} and keeps {plan.Room.Usable.ToDecimalString()} of {plan.Room.Raw.ToDecimalString()}.";
        var reasons = ParityAdvice.Reasons(plan.Disks, plan.AgeYears > ParityAdvice.OldYears).ToList();
        if (plan.Disks.All(d => d.IsFlash))
        {
            yield return "Flash is for guest disks: mirrors write small blocks fastest.";
        }
        else if (plan.Risk.Survives >= 2)
        {
            foreach (var reason in reasons)
            {
                yield return reason switch
                {
                    ParityReason.Number => "From 5 disks on, two parity disks are common practice.",
                    ParityReason.Size =>
                        $"With {reason.Words(plan.Disks)} a rebuild takes {Numbers.Short(Math.Ceiling(plan.Risk.RebuildHours))} hours, and a second failure during them loses nothing.",
                    ParityReason.Age => "Past five years disks fail more often: two parity disks are common practice.",
                };
            }
        }

        if (plan.Layout.IsDedicated() && plan.Disks.Select(d => d.Size).Distinct().Count() > 1)
        {
            yield return "The disks differ in size: each counts whole, and each can be read by itself.";
        }

        if (plan.Disks.Count > 1 && plan.Risk.LossInBatch >= Odds.RarerThanFire)
        {
            yield return $"If the disks are of one batch the odds of losing it within a year are {Odds.Exactly(plan.Risk.LossInBatch)}: buy them apart, or keep a spare.";
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

    /// <summary>Arrays and copy-on-write pools answer different needs: each is held against its own kind.</summary>
    private static bool Beats(PoolPlan a, PoolPlan b) =>
        a.Family == b.Family
        && a.Room.Usable >= b.Room.Usable
        && a.Risk.LossPerYear <= b.Risk.LossPerYear
        && a.Disks.Count <= b.Disks.Count
        && (a.Room.Usable > b.Room.Usable || a.Risk.LossPerYear < b.Risk.LossPerYear || a.Disks.Count < b.Disks.Count);

    /// <summary>
    /// Common practice: mirrors for flash, two parity disks from 5 disks, from 8 TB or past five years, one below; dedicated parity where sizes differ much. Flash and
    /// spinning disks together get none. Where the worse end of the odds, that of one batch, is past 1 in 100 a year, a way that survives more is taken if there is one.
    /// </summary>
    private static PoolPlan? Recommended(IReadOnlyList<PoolPlan> plans)
    {
        var safe = plans.Where(p => p.Risk.Survives > 0).ToList();
        if (safe.Count == 0)
        {
            return plans.Count == 0 ? null : plans[0];
        }

        var disks = safe[0].Disks;
        if (safe[0].MixesFlash)
        {
            return null;
        }

        if (disks.All(d => d.IsFlash))
        {
            return safe.Where(p => p.Layout is PoolLayout.Mirror or PoolLayout.StripedMirrors).MaxBy(p => p.Room.Usable) ?? safe[0];
        }

        var wanted = ParityAdvice.Wanted(disks, safe[0].AgeYears);
        var spread = disks.Distinct().Count() > 1 ? safe : safe.FindAll(p => !p.Layout.IsDedicated());
        var careful = FirstNotEmpty(
            spread.FindAll(p => p.Risk.Survives >= wanted && p.Risk.LossInBatch <= MostLossInBatch),
            spread.FindAll(p => p.Risk.Survives >= wanted),
            spread
        );
        var most = careful.MaxBy(p => p.Room.Usable)!;
        // A copy-on-write pool notices when a disk lies: it is taken where it keeps nearly as much.
        return careful
                .Where(p => p.Family == PoolFamily.CopyOnWrite && p.Room.Usable.ShareOf(most.Room.Usable) >= NearlyAsMuch)
                .Where(p => p.LeftOver.ShareOf(p.Room.Raw) <= MuchLeftOver)
                .MaxBy(p => p.Room.Usable)
            ?? most;
    }

    private static List<PoolPlan> FirstNotEmpty(params List<PoolPlan>[] lists) => lists.First(l => l.Count > 0 || l == lists[^1]);

    private static IEnumerable<(IReadOnlyList<DiskGroup> Groups, PoolFamily Family)> Ways(IReadOnlyList<DiskSpec> disks)
    {
        DiskSpec[] sorted = [.. disks.OrderByDescending(d => d.Size)];
        var layouts = Enum.GetValues<PoolLayout>();
        List<IReadOnlyList<DiskGroup>> inGroups = [.. layouts.Where(l => l.StripedParity() > 0).SelectMany(l => InGroups(l, sorted))];
        foreach (var family in Enum.GetValues<PoolFamily>())
        {
            foreach (var layout in layouts.Where(l => !l.IsDedicated() && Sensible(l, sorted.Length)))
            {
                yield return ([new DiskGroup(layout, [.. sorted])], family);
            }

            foreach (var groups in inGroups)
            {
                yield return (groups, family);
            }
        }

        foreach (
            var layout in layouts.Where(l => l.IsDedicated() && sorted.Length > l.FewestDisks() && sorted.Length <= MostWithParityDisks)
        )
        {
            yield return ([new DiskGroup(layout, [.. sorted])], PoolFamily.BlockArray);
        }
    }

    /// <summary>The sensible ways to split disks over several groups: every number of equal groups, and the two smallest numbers of uneven ones and of ones of a single size each.</summary>
    private static IEnumerable<IReadOnlyList<DiskGroup>> InGroups(PoolLayout layout, DiskSpec[] disks)
    {
        var sizes = disks.Select(d => d.Size).Distinct().Count();
        var least = Math.Max(2, (disks.Length + WidestGroup - 1) / WidestGroup);
        var most = disks.Length / (layout.FewestDisks() + 1);
        // Between very many sizes there is no use in more than a few cuts.
        var all = sizes == 1 ? most : Math.Min(most, Math.Max(sizes, least + Math.Min(sizes, WidestGroup) + UnevenTried));
        var split = new GroupSplit(layout, disks, all);
        var (uneven, alike) = (0, 0);
        for (var n = 2; n <= all; n++)
        {
            var groups = split.Into(n);
            var widths = groups.Select(g => g.Disks.Count).ToList();
            var bySize = sizes > 1 && groups.All(g => g.Smallest == g.Largest);
            if (widths.Min() <= layout.FewestDisks() || widths.Max() > WidestGroup + (bySize ? layout.ParityDisks() : 0))
            {
                continue;
            }

            if (bySize ? alike++ < UnevenTried : widths.Distinct().Count() == 1 || uneven++ < UnevenTried)
            {
                yield return groups;
            }
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
}
