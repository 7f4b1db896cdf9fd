using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>Disks joined one way: how much room, how safe, what to mind.</summary>
public sealed class PoolPlan
{
    private const double ThinShare = 0.5;
    private const int GuestBlock = 16 * 1024;

    private PoolPlan(
        IReadOnlyList<DiskGroup> groups,
        PoolFamily family,
        IReadOnlyList<DiskSpec> disks,
        int block,
        double ageYears,
        bool spareReady,
        DiskCondition condition
    )
    {
        Groups = groups;
        Family = family;
        Disks = disks;
        Block = block;
        AgeYears = ageYears;
        Room = PoolRoom.Of(groups, family, block);
        Risk = PoolRisk.Of(groups, ageYears, spareReady, condition);
    }

    /// <summary>The groups it is made of.</summary>
    public IReadOnlyList<DiskGroup> Groups { get; }

    /// <summary>Block array or copy-on-write.</summary>
    public PoolFamily Family { get; }

    /// <summary>All its disks.</summary>
    public IReadOnlyList<DiskSpec> Disks { get; }

    /// <summary>The block that is written at once, in bytes.</summary>
    public int Block { get; }

    /// <summary>The age of its disks.</summary>
    public double AgeYears { get; }

    /// <summary>Its room.</summary>
    public PoolRoom Room { get; }

    /// <summary>Its risk.</summary>
    public PoolRisk Risk { get; }

    /// <summary>How the disks of the first group share their data; groups of one plan differ in width at most.</summary>
    public PoolLayout Layout => Groups[0].Layout;

    /// <summary>The share of what was bought that holds data, before the reserve.</summary>
    public double Efficiency => Room.AfterPadding.ShareOf(Room.Raw).Value;

    /// <summary>Whether flash and other disks are in it together.</summary>
    public bool MixesFlash => Disks.Any(d => d.IsFlash) && Disks.Any(d => !d.IsFlash);

    /// <summary>What unequal sizes, or a disk without a partner, leave unused.</summary>
    public ByteSize LeftOver => Groups.Aggregate(ByteSize.Zero, (sum, g) => sum + g.LeftOver);

    /// <summary>
    /// Small writes at once, in disks' worth: a stripe or pair writes with every disk or pair, parity in a block array reads and writes again for each
    /// parity disk, and a group of a copy-on-write parity pool writes like one disk; from memory.
    /// </summary>
    public double SmallWrites =>
        Groups.Sum(g =>
            g.Layout switch
            {
                PoolLayout.Single or PoolLayout.Mirror => 1,
                PoolLayout.Stripe => g.Disks.Count,
                PoolLayout.StripedMirrors => g.Disks.Count / 2,
                PoolLayout.Dedicated1 or PoolLayout.Dedicated2 => 0.5,
                PoolLayout.Parity1 or PoolLayout.Parity2 or PoolLayout.Parity3 => Family == PoolFamily.CopyOnWrite
                    ? 1
                    : g.Disks.Count / (2.0 * (1 + g.Layout.ParityDisks())),
            }
        );

    /// <summary>The plan in words: «double parity of 6 disks».</summary>
    public string Words =>
        Groups.Select(g => g.Disks.Count).Distinct().Count() == 1 ? Layout.Words(Disks.Count, Groups.Count) : WordsOfEach();

    /// <summary>What it takes to have more room later.</summary>
    public string Grows => GrowsWith(Layout, Groups[0].Disks.Count);

    /// <summary>What it takes for a pool to have more room later.</summary>
    /// <param name="layout">Its layout.</param>
    /// <param name="width">Disks in a group.</param>
    public static string GrowsWith(PoolLayout layout, int width) =>
        layout switch
        {
            PoolLayout.Single => "a larger disk, or a mirror beside it",
            PoolLayout.Stripe => "any disk, one at a time",
            PoolLayout.Mirror => "larger disks in place of all of these",
            PoolLayout.StripedMirrors => "two disks at a time",
            PoolLayout.Dedicated1 or PoolLayout.Dedicated2 => "one data disk at a time, no larger than the parity disk",
            PoolLayout.Parity1 or PoolLayout.Parity2 or PoolLayout.Parity3 =>
                $"{width} disks at a time, or larger ones in place of all of a group",
        };

    /// <summary>One layout, in equal groups.</summary>
    /// <exception cref="Refused">The disks are too few for it.</exception>
    public static PoolPlan Of(
        PoolLayout layout,
        int groups,
        PoolFamily family,
        IReadOnlyList<DiskSpec> disks,
        int block = PoolRoom.QuotedBlock,
        double ageYears = 0,
        bool spareReady = false,
        DiskCondition condition = DiskCondition.New
    )
    {
        if (layout.IsDedicated() && family == PoolFamily.CopyOnWrite)
        {
            throw new Refused("Parity on a disk of its own is a block array, not a copy-on-write pool.");
        }

        if (layout == PoolLayout.Single && disks.Count > groups)
        {
            throw new Refused($"A single disk is one disk; {disks.Count} are given. Stripe them, or make pools of their own.");
        }

        var fewest = layout.FewestDisks() * groups;
        if (disks.Count < fewest)
        {
            throw new Refused(
                $"{(groups > 1 ? $"{groups} groups of {layout.Words()} need" : $"{layout.Words()} needs")} at least {Numbers.Count(fewest, "disk")}; {disks.Count} {(disks.Count == 1 ? "is" : "are")} given."
            );
        }

        return new PoolPlan(
            DiskGroup.Split(layout, [.. disks.OrderByDescending(d => d.Size)], groups),
            family,
            disks,
            block,
            ageYears,
            spareReady,
            condition
        );
    }

    /// <summary>Groups of different widths or sizes side by side.</summary>
    internal static PoolPlan Of(
        IReadOnlyList<DiskGroup> groups,
        PoolFamily family,
        IReadOnlyList<DiskSpec> disks,
        double ageYears,
        bool spareReady,
        DiskCondition condition
    ) => new(groups, family, disks, PoolRoom.QuotedBlock, ageYears, spareReady, condition);

    /// <summary>What to mind about it, one plain sentence each; common practice.</summary>
    public IEnumerable<string> Warnings()
    {
        if (Risk.Survives == 0)
        {
            yield return "One failed disk loses data: only for what exists elsewhere too.";
        }

        foreach (var (group, reasons) in ParityAdvice.Thin(Groups, AgeYears > ParityAdvice.OldYears).Take(1))
        {
            foreach (var reason in reasons)
            {
                yield return reason switch
                {
                    ParityReason.Number => $"Single parity over {group.Disks.Count} disks: from 5 disks on, two are common practice.",
                    ParityReason.Size =>
                        $"Single parity with {reason.Words(group.Disks)}: from 8 TB on, two are common practice, since a rebuild takes {Numbers.Short(Math.Ceiling(group.RebuildHours))} hours.",
                    ParityReason.Age =>
                        $"Single parity with disks of {Numbers.Short(AgeYears)} years: past five years, two are common practice.",
                };
            }
        }

        if (LeftOver > ByteSize.Zero)
        {
            yield return Disks.Select(d => d.Size).Distinct().Count() > 1
                ? $"Disks of different sizes: {LeftOver.ToDecimalString()} of them cannot be used this way."
                : $"An odd number of disks: one has no partner, and its {LeftOver.ToDecimalString()} cannot be used this way.";
        }

        if (MixesFlash)
        {
            yield return "Spinning disks and flash in one pool: it is as slow as its slowest disk.";
        }

        if (Family == PoolFamily.CopyOnWrite && Layout.StripedParity() > 0)
        {
            var widest = Groups.MaxBy(g => g.Disks.Count)!.Disks.Count;
            var small = new ByteSize(Math.Min(Block, GuestBlock));
            var kept = PoolRoom.Efficiency(widest, Layout.ParityDisks(), (int)small.Bytes);
            if (kept <= ThinShare || Block < GuestBlock)
            {
                yield return $"Small blocks on parity waste room: at {small} {Numbers.Percent(kept)} remain. Put guest disks on mirrors.";
            }
        }

        if (Risk.UnreadableCeiling > 0.1)
        {
            yield return $"At one unreadable bit in 10^15, as makers state it for such disks, a sector cannot be read in up to {Numbers.Percent(Risk.UnreadableCeiling)} of rebuilds with nothing left to spare; real disks do better. "
                + (Family == PoolFamily.CopyOnWrite ? "It costs a file." : "Some arrays stop the rebuild for it.");
        }
    }

    private string WordsOfEach() =>
        string.Join(" + ", Groups.GroupBy(g => g.Disks.Count).Select(g => (g.Count() > 1 ? $"{g.Count()} × " : "") + Layout.Words(g.Key)));
}
