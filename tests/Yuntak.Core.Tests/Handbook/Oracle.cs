namespace Yuntak.Core.Tests.Handbook;

/// <summary>
/// The sums of the handbook (chapters 2, 3 and 6) done a second time, in plain arithmetic and by trying everything, without a line of the code they check.
/// Sizes are bytes, rates bytes a second, times hours.
/// </summary>
internal static class Oracle
{
    public const double GiB = 1L << 30;
    public const double MiB = 1L << 20;
    private const double HoursPerYear = 8766;

    /// <summary>Chapter 2: a machine's overhead is 150 MiB and 1/256 of its memory, a system container's 16 MiB, an app stack's 8 MiB a container.</summary>
    public static double Overhead(char kind, double memory, int containers) =>
        kind switch
        {
            'm' => (150 * MiB) + Math.Floor(memory / 256),
            's' => 16 * MiB,
            _ => 8 * MiB * containers,
        };

    /// <summary>Chapter 6: what the read cache keeps under pressure.</summary>
    public static double CacheFloor(double wanted, double memory) => Math.Min(wanted, Math.Min(GiB, Math.Floor(memory / 16)));

    /// <summary>
    /// Chapter 3: the room of disks cut into so many groups of parity, like sizes together: every cut of the disks sorted by size is tried, the one that wastes least
    /// is taken, the most even of several; an even cut is kept where another saves less than a hundredth of the disks.
    /// </summary>
    public static double ParityRoom(double[] sizes, int parity, int groups)
    {
        double[] sorted = [.. sizes.OrderDescending()];
        int[][] cuts = [.. Cuts(sorted.Length, groups, parity + 1)];
        var even = Enumerable.Range(0, groups).Select(n => (sorted.Length / groups) + (n < sorted.Length % groups ? 1 : 0)).ToArray();
        var best = cuts.OrderBy(c => Math.Round(Waste(c), 9)).ThenBy(c => c.Sum(w => w * w)).First();
        return Room(Waste(even) - Waste(best) > 0.01 * sizes.Sum() ? best : even);

        double Waste(int[] widths) => Groups(widths).Sum(g => g.Sum() - (g.Length * g[^1]));
        double Room(int[] widths) => Groups(widths).Sum(g => (g.Length - parity) * g[^1]);
        IEnumerable<double[]> Groups(int[] widths) => widths.Select((w, n) => sorted[widths.Take(n).Sum()..(widths.Take(n).Sum() + w)]);
    }

    private static IEnumerable<int[]> Cuts(int disks, int groups, int fewest) =>
        groups == 1
            ? disks >= fewest
                ?
                [
                    [disks],
                ]
                : []
            : Enumerable
                .Range(fewest, Math.Max(0, disks - fewest))
                .SelectMany(w => Cuts(disks - w, groups - 1, fewest).Select(c => (int[])[w, .. c]));

    /// <summary>Chapter 3: annual failure rate by age.</summary>
    public static double AnnualFailures(double years) =>
        Math.Floor(years) switch
        {
            <= 3 => 0.015,
            <= 5 => 0.025,
            _ => 0.05,
        };

    /// <summary>
    /// Chapter 3: the chance that one of several groups is lost within a year. Each group rebuilds in its own time; h₀ = 1/λ₀, hᵢ = (1 + μhᵢ₋₁)/λᵢ with
    /// λᵢ = (n − i)λ, the later ones times as likely in one batch; the mean time is their sum from the disks that are missing on.
    /// </summary>
    /// <param name="groups">For each group: disks, failures it survives, size of its largest disk, rebuild rate of its slowest.</param>
    public static double Loss(
        IEnumerable<(int Disks, int Survives, double Largest, double Rate)> groups,
        double years,
        bool spare,
        double batch = 1,
        int missingInFirst = 0
    )
    {
        var failure = AnnualFailures(years) / HoursPerYear;
        var rate = 0.0;
        var first = true;
        foreach (var (disks, survives, largest, pace) in groups)
        {
            var repair = 1 / ((largest / pace / 3600) + (spare ? 0 : 72));
            var (time, total) = (0.0, 0.0);
            for (var failed = 0; failed <= survives; failed++)
            {
                time = (1 + (repair * time * (failed > 0 ? 1 : 0))) / ((disks - failed) * failure * (failed > 0 ? batch : 1));
                total += failed >= (first ? missingInFirst : 0) ? time : 0;
            }

            rate += 1 / total;
            first = false;
        }

        return 1 - Math.Exp(-HoursPerYear * rate);
    }
}
