using Microsoft.AspNetCore.Html;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
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
    private const double Height = 260;
    private const double Left = 74;
    private const double Bottom = 30;
    private const double Top = 20;
    private const double DigitWidth = 6.4;
    private const double LineHeight = 11;
    private const double Apart = 5;
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

        drawn.Add(Svg.Text(Width - 6, Height - 3, "tick-text end", "usable, TB →"));
        drawn.Add(Svg.Text(4, 9, "axis-name", "↓ lost within a year to failing disks (lower is safer)"));
        // Arrays and copy-on-write pools answer different needs: a line for each.
        foreach (var family in candidates.Where(c => c.Best).GroupBy(c => c.Plan.Family).Where(f => f.Count() > 1))
        {
            var css = family.Key == PoolFamily.CopyOnWrite ? "front cow" : "front";
            drawn.Add(Svg.Path("M" + string.Join("L", family.OrderBy(X).Select(c => $"{Svg.N(X(c))} {Svg.N(Y(c))}")), css));
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

        // Ways that come to the same share one label; labels that would lie on another, or on a mark, go to the next free place around their mark.
        List<(double X, double Y, double Width)> taken = [.. candidates.Select(c => (X(c) - 7, Y(c) + 4, 14.0))];
        foreach (var same in Enumerable.Range(0, candidates.Count).GroupBy(n => (Near(X(candidates[n])), Near(Y(candidates[n])))))
        {
            var (x, y) = (X(candidates[same.First()]), Y(candidates[same.First()]));
            var words = string.Join(", ", same.Select(n => n + 1));
            var width = words.Length * DigitWidth;
            var place = Places(x, y, width)
                .FirstOrDefault(p => taken.TrueForAll(t => !Overlap(p, t)) && p.X + width < Width && p.Y > Top - 2);
            if (place == default)
            {
                place = (x + 8, y - 8, width);
            }

            taken.Add(place);
            drawn.Add(Svg.Text(place.X, place.Y, "plot-number", words));
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

    private static IEnumerable<(double X, double Y, double Width)> Places(double x, double y, double width)
    {
        for (var step = 0; step < 5; step++)
        {
            var far = step * LineHeight;
            yield return (x + 8, y + 14 + far, width);
            yield return (x + 8, y - 8 - far, width);
            yield return (x - 8 - width, y - 8 - far, width);
            yield return (x - 8 - width, y + 14 + far, width);
        }
    }

    private static bool Overlap((double X, double Y, double Width) a, (double X, double Y, double Width) b) =>
        a.X < b.X + b.Width + Apart && b.X < a.X + a.Width + Apart && Math.Abs(a.Y - b.Y) < LineHeight;

    private static double Near(double place) => Math.Round(place / 5);

    private static double Level(double loss) =>
        Top + ((Math.Log10(Math.Clamp(loss, Safest, 1)) / Math.Log10(Safest)) * (Height - Bottom - Top - 8));
}
