using System.Globalization;
using System.Text;
using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Keeping;
using Yuntak.Core.Units;

namespace Yuntak.Web.Drawing.Keeping;

/// <summary>How a store fills over a year: the line when nothing is saved, the range down to when half is, and what it holds.</summary>
internal static class RoomCurve
{
    private const double Width = 340;
    private const double Height = 120;
    private const double Left = 52;
    private const double Bottom = 20;

    /// <summary>The curve.</summary>
    public static IHtmlContent Draw(StoreSums store, StoreRoom room)
    {
        var points = room.Curve.Where((_, n) => n % 7 == 0 || n == StoreRoom.Days - 1).ToList();
        var most = Math.Max(1, Math.Max(points.Max(p => p.Used.Bytes), store.Room?.Bytes ?? 0) * 1.1);
        double X(int n) => Left + (n / (double)Math.Max(1, points.Count - 1) * (Width - Left - 8));
        double Y(double bytes) => Height - Bottom - (bytes / most * (Height - Bottom - 10));
        string Path(double share, bool back)
        {
            var path = new StringBuilder();
            foreach (var n in back ? Enumerable.Range(0, points.Count).Reverse() : Enumerable.Range(0, points.Count))
            {
                path.Append(n == 0 && !back ? 'M' : 'L').Append(Svg.N(X(n))).Append(' ').Append(Svg.N(Y(points[n].Used.Bytes * share)));
            }

            return path.ToString();
        }

        List<XElement> drawn = [];
        if (store.Store is { Deduplicates: true, Reduction: null })
        {
            drawn.Add(Svg.Path(Path(1, back: false) + Path(1 / KeepingRules.ReductionAtBest, back: true) + "z", "growth-range"));
        }

        drawn.Add(Svg.Path(Path(1, back: false), "growth-line"));
        if (store.Room is { } holds)
        {
            drawn.Add(Svg.Line(Left, Y(holds.Bytes), Width - 8, Y(holds.Bytes), "limit"));
            drawn.Add(Svg.Text(Left - 5, Y(holds.Bytes) + 3.5, "tick-text end", holds.ToDecimalString()));
        }

        var top = points.Max(p => p.Used.Bytes);
        if (store.Room is not { } size || Math.Abs(Y(size.Bytes) - Y(top)) > 13)
        {
            drawn.Add(Svg.Text(Left - 5, Y(top) + 3.5, "tick-text end", new ByteSize(top).ToDecimalString()));
        }

        drawn.Add(Svg.Line(Left, Height - Bottom, Width - 8, Height - Bottom, "axis"));
        for (var quarter = 0; quarter <= 4; quarter++)
        {
            var n = quarter * (points.Count - 1) / 4;
            drawn.Add(
                Svg.Text(
                    X(n),
                    Height - Bottom + 14,
                    quarter == 4 ? "tick-text end" : "tick-text",
                    points[n].Day.ToString("MMM yy", CultureInfo.InvariantCulture)
                )
            );
        }

        return Svg.Of(
            0,
            0,
            Width,
            Height,
            $"How {store.Store.Name} fills over a year: {points[0].Used.ToDecimalString()} at first, {points[^1].Used.ToDecimalString()} in the end{(store.Room is { } r ? $", of {r.ToDecimalString()}" : "")}",
            "growth-chart",
            [.. drawn]
        );
    }
}
