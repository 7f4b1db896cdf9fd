using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>How likely a pool is to lose its data to failing disks alone. It is no replacement for a backup: fire, theft and slips are not in it.</summary>
/// <param name="Survives">Failures it survives whichever disks they are.</param>
/// <param name="RebuildHours">Hours to rebuild the disk that takes longest: the largest of its group, at the pace of that group's slowest.</param>
/// <param name="ScrubHours">Hours to read the disk through that takes longest.</param>
/// <param name="MeanYearsToLoss">The mean time until data is lost, in years, for independent disks.</param>
/// <param name="LossPerYear">The chance of it within a year, 0 to 1, for independent disks.</param>
/// <param name="LossInBatch">The same for disks of one batch: once one has failed the others are likelier to.</param>
/// <param name="UnreadableCeiling">The chance of an unreadable sector while no redundancy is left, from the usual data sheets: a ceiling; real disks do better.</param>
/// <param name="Figure">The chance within a year with its working.</param>
public sealed record PoolRisk(
    int Survives,
    double RebuildHours,
    double ScrubHours,
    double MeanYearsToLoss,
    double LossPerYear,
    double LossInBatch,
    double UnreadableCeiling,
    Figure<Chance> Figure
)
{
    /// <summary>One unreadable bit in so many, as data sheets of large disks for homes have it; older and smaller ones say 10^-14.</summary>
    public const double UnreadablePerBit = 1e-15;

    /// <summary>The risk of a pool of groups.</summary>
    /// <param name="groups">The groups; each with enough disks.</param>
    /// <param name="ageYears">The age of its disks.</param>
    /// <param name="spareReady">Whether a spare lies ready.</param>
    /// <param name="condition">How the disks were bought.</param>
    /// <param name="batchTimes">How many times as likely disks of one batch fail once one has.</param>
    /// <param name="missing">How many disks are missing now, at most what the pool survives; the worst group is taken to miss them.</param>
    public static PoolRisk Of(
        IReadOnlyList<DiskGroup> groups,
        double ageYears = 0,
        bool spareReady = false,
        DiskCondition condition = DiskCondition.New,
        double batchTimes = FailureRates.UsualBatchTimes,
        int missing = 0
    )
    {
        var annual = FailureRates.Annual(ageYears) * FailureRates.Multiplier(condition);
        var failure = annual / Duration.HoursPerYear;
        var wait = spareReady ? 0 : FailureRates.SpareWaitHours;
        double Rate(double batch) => LossRate([.. groups.SelectMany(g => g.Parts)], failure, wait, batch, missing);
        var hours = 1 / Rate(1);
        var loss = Odds.OneMinusExp(Duration.HoursPerYear / hours);
        var inBatch = Odds.OneMinusExp(Duration.HoursPerYear * Rate(batchTimes));
        var survives = groups.Min(g => g.Survives) - missing;
        var rebuild = groups.Max(g => g.RebuildHours);
        var read = groups.Max(g => ReadToRebuild(g).Bytes) * 8.0;
        return new PoolRisk(
            survives,
            rebuild,
            groups.Max(g => g.ScrubHours),
            hours / Duration.HoursPerYear,
            loss,
            inBatch,
            survives == 0 && missing == 0 ? 0 : Unreadable(read, UnreadablePerBit),
            Figures.Figure.Of(
                "chance of losing it within a year",
                new Chance(loss),
                "1 − e^(−8,766 h ÷ mean time to loss), by a birth-death chain for each group",
                () =>
                    [
                        new("disks that fail in a year", new Share(annual), Origin.Assumed),
                        .. groups.Select(
                            (g, n) =>
                                new FigureInput(
                                    groups.Count > 1
                                        ? $"group {n + 1}, {Numbers.Count(g.Disks.Count, "disk")}: rebuild, hours"
                                        : "rebuild, hours",
                                    g.RebuildHours
                                )
                        ),
                        new("wait for a spare, hours", wait, Origin.Assumed),
                        new("survives, in each group", groups.Min(g => g.Survives)),
                        .. missing > 0 ? [new FigureInput("missing now", missing, Origin.Read)] : Array.Empty<FigureInput>(),
                        new("mean time to loss, years", hours / Duration.HoursPerYear),
                        new(
                            "for disks of one batch",
                            new Chance(inBatch),
                            Origin.Assumed,
                            $"the others {Numbers.Short(batchTimes)} times as likely once one has failed; from memory"
                        ),
                    ],
                new Source("failure rates and rebuild rates are common practice; chain after Patterson, Gibson and Katz, SIGMOD 1988")
            )
        );
    }

    /// <summary>The chance of at least one unreadable sector: 1 − (1 − r)^bits.</summary>
    /// <param name="bits">Bits read.</param>
    /// <param name="perBit">r, from the data sheet.</param>
    public static double Unreadable(double bits, double perBit) => Odds.OneMinusExp(-bits * LogOneMinus(perBit));

    /// <summary>Data losses an hour: groups are lost independently, each rebuilds in its own time. Missing disks are taken to be in the group where that is worst.</summary>
    private static double LossRate(IReadOnlyList<DiskGroup> groups, double failure, double wait, double batch, int missing)
    {
        double Of(DiskGroup group, int failed) =>
            1 / BirthDeathChain.MeanHoursToLoss(group.Disks.Count, group.Survives, failure, 1 / (group.RebuildHours + wait), batch, failed);
        var sum = groups.Sum(g => Of(g, 0));
        return missing == 0 ? sum : groups.Where(g => g.Survives >= missing).Max(g => sum - Of(g, 0) + Of(g, missing));
    }

    /// <summary>What is read from the other disks while none may fail any more.</summary>
    private static ByteSize ReadToRebuild(DiskGroup group) =>
        group.Layout switch
        {
            PoolLayout.Mirror or PoolLayout.StripedMirrors => group.Largest,
            PoolLayout.Single
            or PoolLayout.Stripe
            or PoolLayout.Parity1
            or PoolLayout.Parity2
            or PoolLayout.Parity3
            or PoolLayout.Dedicated1
            or PoolLayout.Dedicated2 => (group.Disks.Count - group.Layout.ParityDisks()) * group.Largest,
        };

    /// <summary>ln(1 − x) for x far below what 1 − x can hold.</summary>
    private static double LogOneMinus(double x) => -x - (x * x / 2);
}
