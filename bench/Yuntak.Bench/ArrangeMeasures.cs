using System.Diagnostics;
using System.Globalization;
using Yuntak.Core.Arranging;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Tests;

namespace Yuntak.Bench;

/// <summary>
/// Arrangements, each a search of its own and so not repeated as other measurements are: how many are proven and how soon, against what the solver alone took for the
/// same models in the same run; and what a lab far larger than a household's comes to in its time.
/// </summary>
internal static class ArrangeMeasures
{
    private const int Labs = 20;
    private const double MostSeconds = 2;
    private const double MostTimes = 1.3;
    private const double MostMegabytes = 500;

    /// <summary>Measures and prints; answers whether all is within its limits.</summary>
    public static bool Print()
    {
        // The first one loads the solver.
        _ = Timed(ArrangeGens.Of(999, 2, 4), ArrangeAsk.UsualSeconds);
        var runs = Enumerable
            .Range(0, Labs)
            .Select(seed => Timed(ArrangeGens.Of(seed, 5, 60, 0.8, 0.9, settled: true), ArrangeAsk.UsualSeconds))
            .ToList();
        var median = Median(runs.Select(r => r.Seconds));
        var times = Median(runs.Select(r => r.Seconds / Math.Max(1e-3, r.Found.Seconds)));
        Say(
            $"5 hosts, 60 guests, {Labs} random homes: {runs.Count(r => r.Found.Status == ArrangeStatus.Optimal)} proven, median {median:0.00} s, {times:0.00} × the solver alone"
        );
        var large = Timed(ArrangeGens.Of(1, 20, 200, 0.8, 0.9, settled: true), 10);
        Say(
            $"20 hosts, 200 guests: {large.Seconds:0.0} s, {large.Found.Placed.Count} placed; {string.Join(", ", large.Found.Goals.Take(4).Select(g => $"{g.Name} {g.Value:0} (at best {g.Bound:0})"))}"
        );
        using var process = Process.GetCurrentProcess();
        var megabytes = process.PeakWorkingSet64 / 1e6;
        Say($"memory at its most: {megabytes:0} MB");
        return median <= MostSeconds && times <= MostTimes && megabytes <= MostMegabytes;
    }

    private static (double Seconds, Arrangement Found) Timed(Lab lab, double seconds)
    {
        var sums = Sums.Of(lab);
        var watch = Stopwatch.StartNew();
        var found = Arranger.Of(sums, new ArrangeAsk { Seconds = seconds });
        return (watch.Elapsed.TotalSeconds, found);
    }

    private static double Median(IEnumerable<double> values) => values.Order().ElementAt(Labs / 2);

    private static void Say(FormattableString line) => Console.WriteLine(line.ToString(CultureInfo.InvariantCulture));
}
