using System.Globalization;
using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Keeping;

namespace Yuntak.Web.Drawing.Keeping;

/// <summary>The copies that are left, on a ruler from tonight back to a year: near days lie far apart, far ones close together.</summary>
internal static class KeptRuler
{
    private const double Wide = 780;
    private const double Narrow = 344;
    private const double Height = 78;
    private const double Base = 48;
    private const double Longest = 366;

    private static readonly (double Days, string Words)[] Ticks =
    [
        (0, "tonight"),
        (1, "1 day"),
        (7, "1 week"),
        (30, "1 month"),
        (91, "3 months"),
        (182, "6 months"),
        (365, "1 year"),
    ];

    /// <summary>The ruler twice, for wide windows and for phones.</summary>
    /// <param name="left">The copies that are left, the newest first.</param>
    /// <param name="good">Copies that are kept for good.</param>
    /// <param name="tonight">The moment it is looked at.</param>
    /// <param name="daysAgo">How many days ago something was lost; null where nothing is asked.</param>
    /// <param name="words">What it is a ruler of.</param>
    public static IHtmlContent Draw(
        IReadOnlyList<DateTime> left,
        IReadOnlyList<DateTime> good,
        DateTime tonight,
        int? daysAgo,
        string words
    ) => ForBoth.Of(Drawing(left, good, tonight, daysAgo, words, Wide), Drawing(left, good, tonight, daysAgo, words, Narrow));

    private static Svg Drawing(
        IReadOnlyList<DateTime> left,
        IReadOnlyList<DateTime> good,
        DateTime tonight,
        int? daysAgo,
        string words,
        double width
    )
    {
        double X(double days) => 24 + ((width - 50) * (1 - (Math.Log(1 + Math.Clamp(days, 0, Longest)) / Math.Log(1 + Longest))));
        double Ago(DateTime at) => (tonight - at).TotalDays;
        List<XElement> drawn = [Svg.Line(X(Longest), Base, X(0), Base, "axis")];
        foreach (var (days, says) in Ticks)
        {
            drawn.Add(Svg.Line(X(days), 18, X(days), Base + 4, "grid-line"));
            if (width == Wide || days is 0 or 7 or 30 or 182)
            {
                drawn.Add(Svg.Text(X(days), Base + 18, "tick-text", says));
            }
        }

        var last = double.MaxValue;
        foreach (var copy in left.Where(c => Ago(c) <= Longest).Take(400))
        {
            // Of those that would lie on one another one is drawn.
            var x = X(Ago(copy));
            if (last - x < 1.5)
            {
                continue;
            }

            last = x;
            var mark = Svg.Rect(x - 3, 26, 6, 20, $"kept-mark age{Math.Min(3, (int)(Math.Log10(1 + Ago(copy)) * 1.6))}", 1.5);
            mark.Add(new XElement("title", copy.ToString("dddd d MMM yyyy HH:mm", CultureInfo.InvariantCulture)));
            drawn.Add(mark);
        }

        foreach (var copy in good.Where(c => Ago(c) is >= 0 and <= Longest).Take(40))
        {
            drawn.Add(Svg.Rect(X(Ago(copy)) - 3.5, 24, 7, 23, "kept-good", 2));
        }

        if (daysAgo is { } asked)
        {
            var from = KeptDays.Before(left, tonight.AddDays(-asked));
            var x = X(asked);
            drawn.Add(Svg.Path($"M{Svg.N(x)} 22l-4-6h8z", "kept-asked"));
            var says = from is { } at ? $"from {at.ToString("d MMM yyyy", CultureInfo.InvariantCulture)}" : "gone";
            drawn.Add(
                Svg.Text(
                    x,
                    11,
                    x > width - 110 ? "kept-says end"
                        : x < 110 ? "kept-says start"
                        : "kept-says",
                    $"lost {asked} days ago: {says}"
                )
            );
        }

        return Svg.Of(0, 0, width, Height, words, "kept-ruler", [.. drawn]);
    }
}
