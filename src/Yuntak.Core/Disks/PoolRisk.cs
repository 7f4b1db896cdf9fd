using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>How likely a pool is to lose its data to failing disks alone. It is no replacement for a backup: fire, theft and slips are not in it.</summary>
/// <param name="Survives">Failures it survives whichever disks they are.</param>
/// <param name="RebuildHours">Hours to rebuild its largest disk.</param>
/// <param name="ScrubHours">Hours to read its largest disk through.</param>
/// <param name="MeanYearsToLoss">The mean time until data is lost, in years.</param>
/// <param name="LossPerYear">The chance of it within a year, 0 to 1.</param>
/// <param name="UnreadableCeiling">The chance of an unreadable sector while no redundancy is left, from data sheets: a ceiling; real disks do better.</param>
/// <param name="Figure">The chance within a year with its working.</param>
public sealed record PoolRisk(
    int Survives,
    double RebuildHours,
    double ScrubHours,
    double MeanYearsToLoss,
    double LossPerYear,
    double UnreadableCeiling,
    Figure<double> Figure
)
{
    /// <summary>Bits read for each unreadable one, from data sheets of disks for homes: 1 in 10^14; 10^15 for larger ones.</summary>
    public const double UnreadablePerBit = 1e-15;

    /// <summary>The risk of a pool of groups.</summary>
    /// <param name="groups">The groups; each with enough disks.</param>
    /// <param name="kind">The slowest kind of disk in it.</param>
    /// <param name="ageYears">The age of its disks.</param>
    /// <param name="spareReady">Whether a spare lies ready.</param>
    /// <param name="condition">How the disks were bought.</param>
    public static PoolRisk Of(
        IReadOnlyList<DiskGroup> groups,
        DiskKind kind,
        double ageYears = 0,
        bool spareReady = false,
        DiskCondition condition = DiskCondition.New
    )
    {
        var largest = new DiskSpec(groups.SelectMany(g => g.Disks).Max(), kind);
        var annual = FailureRates.Annual(ageYears) * FailureRates.Multiplier(condition);
        var failure = annual / Duration.HoursPerYear;
        var rebuild = largest.RebuildHours;
        var wait = spareReady ? 0 : FailureRates.SpareWaitHours;
        var repair = 1 / (rebuild + wait);
        var hours = 1 / groups.Sum(g => LossRate(g, failure, repair));
        var loss = Odds.OneMinusExp(Duration.HoursPerYear / hours);
        var survives = groups.Min(g => g.Layout.Survives(g.Disks.Count));
        var read = groups.Max(g => ReadToRebuild(g).Bytes) * 8.0;
        return new PoolRisk(
            survives,
            rebuild,
            largest.ScrubHours,
            hours / Duration.HoursPerYear,
            loss,
            survives == 0 ? 0 : Unreadable(read, UnreadablePerBit),
            Figures.Figure.Of(
                "chance of losing it within a year",
                loss,
                "1 − e^(−8,766 h ÷ mean time to loss), by a birth-death chain",
                () =>
                    [
                        new("disks that fail in a year", annual, Origin.Assumed),
                        new("rebuild of the largest disk, hours", rebuild),
                        new("wait for a spare, hours", wait, Origin.Assumed),
                        new("groups", groups.Count),
                        new("survives, in each group", survives),
                        new("mean time to loss, years", hours / Duration.HoursPerYear),
                    ],
                new Source("failure rates and rebuild rates are common practice; chain after Patterson, Gibson and Katz, SIGMOD 1988")
            )
        );
    }

    /// <summary>The chance of at least one unreadable sector: 1 − (1 − r)^bits.</summary>
    /// <param name="bits">Bits read.</param>
    /// <param name="perBit">r, from the data sheet.</param>
    public static double Unreadable(double bits, double perBit) => Odds.OneMinusExp(-bits * LogOneMinus(perBit));

    /// <summary>Data losses an hour. Pairs of striped mirrors are groups of their own.</summary>
    private static double LossRate(DiskGroup group, double failure, double repair)
    {
        var (count, width, survives) =
            group.Layout == PoolLayout.StripedMirrors
                ? (group.Disks.Count / 2, 2, 1)
                : (1, group.Disks.Count, group.Layout.Survives(group.Disks.Count));
        return count / BirthDeathChain.MeanHoursToLoss(width, survives, failure, repair);
    }

    /// <summary>What is read from the other disks while none may fail any more.</summary>
    private static ByteSize ReadToRebuild(DiskGroup group) =>
        group.Layout switch
        {
            PoolLayout.Mirror or PoolLayout.StripedMirrors => group.Disks.Max(),
            PoolLayout.Single
            or PoolLayout.Stripe
            or PoolLayout.Parity1
            or PoolLayout.Parity2
            or PoolLayout.Parity3
            or PoolLayout.Dedicated1
            or PoolLayout.Dedicated2 => (group.Disks.Count - group.Layout.ParityDisks()) * group.Disks.Max(),
        };

    /// <summary>ln(1 − x) for x far below what 1 − x can hold.</summary>
    private static double LogOneMinus(double x) => -x - (x * x / 2);
}
