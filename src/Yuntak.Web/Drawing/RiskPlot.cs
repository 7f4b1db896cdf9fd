using Microsoft.AspNetCore.Html;
using Yuntak.Core.Disks;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;
using Yuntak.Web.Rooms;

namespace Yuntak.Web.Drawing;

/// <summary>Room against risk, one mark for each way to join disks: what nothing beats is a full diamond, joined by a line; the one recommended has a ring.</summary>
internal static class RiskPlot
{
    private const double Width = 600;
    private const double Height = 240;
    private const double Left = 74;
    private const double Bottom = 30;
    private const double Safest = 1e-10;

    public static IHtmlContent Draw(IReadOnlyList<LayoutCandidate> candidates)
    {
        var most = Math.Max(1e-3, candidates.Max(c => c.Plan.Room.Usable.TB)) * 1.05;
        double X(LayoutCandidate c) => Left + (c.Plan.Room.Usable.TB / most * (Width - Left - 14));
        double Y(LayoutCandidate c) => Level(c.Plan.Risk.LossPerYear);
        List<object> drawn = [];
        foreach (
            var (share, words) in new[]
            {
                (0.1, "1 in 10"),
                (1e-3, "1 in 1,000"),
                (1e-5, "1 in 100,000"),
                (1e-7, "1 in 10 million"),
                (1e-9, "1 in a billion"),
            }
        )
        {
            drawn.Add(Svg.Line(Left, Level(share), Width - 6, Level(share), "grid"));
            drawn.Add(Svg.Text(Left - 6, Level(share) + 3.5, "tick-text end", words));
        }

        drawn.Add(Svg.Line(Left, Height - Bottom, Width - 6, Height - Bottom, "axis"));
        var step = Step(most / 4);
        for (var tb = 0.0; tb <= most; tb += step)
        {
            drawn.Add(
                Svg.Text(Left + (tb / most * (Width - Left - 14)), Height - Bottom + 14, "tick-text", Numbers.Short(Math.Round(tb, 3)))
            );
        }

        drawn.Add(Svg.Text(Left + ((Width - Left) / 2), Height - 3, "tick-text", "usable, TB →   (lower is safer)"));
        var front = candidates.Where(c => c.Best).OrderBy(X).ToList();
        if (front.Count > 1)
        {
            drawn.Add(Svg.Path("M" + string.Join("L", front.Select(c => $"{Svg.N(X(c))} {Svg.N(Y(c))}")), "front"));
        }

        for (var n = 0; n < candidates.Count; n++)
        {
            var candidate = candidates[n];
            var (x, y) = (X(candidate), Y(candidate));
            if (candidate.Recommended)
            {
                drawn.Add(Svg.Circle(x, y, 10, "recommended"));
            }

            drawn.Add(candidate.Best ? Svg.Path($"M{Svg.N(x)} {Svg.N(y - 6)}l6 6l-6 6l-6 -6z", "best") : Svg.Circle(x, y, 3.5, "other"));
        }

        // Ways that come to the same share one label.
        foreach (var same in Enumerable.Range(0, candidates.Count).GroupBy(n => (Near(X(candidates[n])), Near(Y(candidates[n])))))
        {
            var at = candidates[same.First()];
            drawn.Add(Svg.Text(X(at) + 8, Y(at) - 8, "plot-number", string.Join(", ", same.Select(n => n + 1))));
        }

        return Svg.Of(
            0,
            0,
            Width,
            Height,
            $"Room against risk of {Numbers.Count(candidates.Count, "way")} to join the disks; the table below holds every figure",
            "risk-plot",
            [.. drawn]
        );
    }

    /// <summary>A step of 1, 2 or 5 times a power of ten.</summary>
    private static double Step(double about)
    {
        var power = Math.Pow(10, Math.Floor(Math.Log10(about)));
        return (about / power) switch
        {
            < 1.5 => power,
            < 3.5 => 2 * power,
            < 7.5 => 5 * power,
            _ => 10 * power,
        };
    }

    private static double Near(double place) => Math.Round(place / 5);

    private static double Level(double loss) =>
        8 + ((Math.Log10(Math.Clamp(loss, Safest, 1)) / Math.Log10(Safest)) * (Height - Bottom - 16));
}
