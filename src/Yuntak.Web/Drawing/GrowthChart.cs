using System.Text;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Disks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;

namespace Yuntak.Web.Drawing;

/// <summary>How a pool fills over the years: the line expected, the range when the rate is unsure, and the lines at 80 and 100 %.</summary>
internal static class GrowthChart
{
    private const double Width = 300;
    private const double Height = 110;
    private const double Left = 36;
    private const double Bottom = 20;
    private const int Steps = 40;

    /// <param name="growth">How it grows.</param>
    /// <param name="room">The room.</param>
    /// <param name="give">How unsure the rate is, 0 to 1.</param>
    /// <param name="years">Years shown.</param>
    /// <param name="thisYear">The year it is.</param>
    public static IHtmlContent Draw(PoolGrowth growth, PoolRoom room, double give, int years, int thisYear)
    {
        var most = Math.Max(room.Usable.TB * 1.15, Math.Min(growth.After(years, 1 + give).TB, room.Usable.TB * 2));
        double X(double year) => Left + (year / years * (Width - Left - 8));
        double Y(double tb) => Height - Bottom - (Math.Min(tb, most) / Math.Max(most, 1e-9) * (Height - Bottom - 8));
        string Line(double scale, bool back)
        {
            var path = new StringBuilder();
            for (var n = 0; n <= Steps; n++)
            {
                var year = (back ? Steps - n : n) * years / (double)Steps;
                path.Append(n == 0 && !back ? 'M' : 'L').Append(Svg.N(X(year))).Append(' ').Append(Svg.N(Y(growth.After(year, scale).TB)));
            }

            return path.ToString();
        }

        List<object> drawn = [];
        if (give > 0)
        {
            drawn.Add(Svg.Path(Line(1 + give, back: false) + Line(1 - give, back: true) + "z", "growth-range"));
        }

        drawn.Add(Svg.Path(Line(1, back: false), "growth-line"));
        foreach (var (size, words) in new[] { (room.Comfort, "80 %"), (room.Usable, "100 %") })
        {
            drawn.Add(Svg.Line(Left, Y(size.TB), Width - 8, Y(size.TB), "limit"));
            drawn.Add(Svg.Text(Left - 5, Y(size.TB) + 3.5, "tick-text end", words));
        }

        drawn.Add(Svg.Line(Left, Height - Bottom, Width - 8, Height - Bottom, "axis"));
        for (var year = 0; year <= years; year++)
        {
            drawn.Add(Svg.Text(X(year), Height - Bottom + 14, "tick-text", $"{thisYear + year}"));
        }

        return Svg.Of(0, 0, Width, Height, $"How it fills over {Numbers.Count(years, "year")}", "growth-chart", [.. drawn]);
    }
}
