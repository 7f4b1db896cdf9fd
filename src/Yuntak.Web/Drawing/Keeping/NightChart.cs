using System.Globalization;
using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Keeping;
using Yuntak.Core.Units;

namespace Yuntak.Web.Drawing.Keeping;

/// <summary>A night to scale: a row a disk, wire or line, a bar what runs over it, and the hour the house wakes. Two on one row share it.</summary>
internal sealed class NightChart
{
    /// <summary>With more rows than that only the busiest are drawn.</summary>
    public const int MostRows = 14;

    private const double Wide = 780;
    private const double Narrow = 344;
    private const double Top = 26;
    private const double Row = 32;
    private const double Bar = 21;
    private const double Hour = 3600;
    private readonly HouseKeeping keeping;
    private readonly Night night;
    private readonly double width;
    private readonly double left;
    private readonly double from;
    private readonly double to;

    private NightChart(HouseKeeping keeping, Night night, double width, double left)
    {
        (this.keeping, this.night, this.width, this.left) = (keeping, night, width, left);
        var ends = night.Runs.Select(r => r.Ends).Where(double.IsFinite).DefaultIfEmpty(night.Wakes).Max();
        from = Math.Max(
            night.From,
            Math.Floor((night.Runs.Select(r => r.Starts).Append(night.Wakes - (9 * Hour)).Min() - (Hour / 4)) / Hour) * Hour
        );
        to = Math.Min(night.To, Math.Ceiling((Math.Max(ends, night.Wakes) + (Hour / 2)) / Hour) * Hour);
    }

    /// <summary>The chart twice, for wide windows and for phones.</summary>
    public static IHtmlContent Draw(HouseKeeping keeping, Night night) =>
        ForBoth.Of(new NightChart(keeping, night, Wide, 150).Drawing(), new NightChart(keeping, night, Narrow, 110).Drawing());

    /// <summary>The rows that are drawn: all of them, or the busiest.</summary>
    public static IReadOnlyList<NightLine> Rows(Night night)
    {
        var lines = night.Lines.ToList();
        return lines.Count <= MostRows
            ? lines
            : [.. lines.OrderByDescending(l => night.Over(l).Sum(r => r.Ends - r.Starts)).Take(MostRows)];
    }

    private Svg Drawing()
    {
        var rows = Rows(night);
        var bottom = Top + ((rows.Count + 1) * Row);
        List<object?> drawn = [.. Hours(bottom), .. Busy(Top)];
        for (var n = 0; n < rows.Count; n++)
        {
            drawn.AddRange(Line(rows[n], Top + ((n + 1) * Row)));
        }

        var wakes = X(night.Wakes);
        drawn.Add(Svg.Line(wakes, 14, wakes, bottom, "wake-line"));
        drawn.Add(Svg.Text(wakes, 10, wakes > width - 90 ? "wake-text end" : "wake-text", $"{keeping.Lab.Settings.Wakes} the house wakes"));
        var svg = Svg.Of(
            0,
            0,
            width,
            bottom + 20,
            $"The night of {night.Day:yyyy-MM-dd}; the list below says the same",
            "night-chart",
            [.. drawn]
        );
        return svg;
    }

    private double X(double seconds) => left + ((Math.Clamp(seconds, from, to) - from) / (to - from) * (width - left - 6));

    private IEnumerable<XElement> Hours(double bottom)
    {
        var hours = (to - from) / Hour;
        var every = Math.Max(1, (int)Math.Ceiling(hours / (width < Wide ? 7 : 16)));
        for (var n = 0; n <= hours; n += every)
        {
            var x = X(from + (n * Hour));
            yield return Svg.Line(x, Top - 4, x, bottom, "grid-line");
            yield return Svg.Text(
                x,
                bottom + 14,
                "tick-text",
                keeping.Clock.Wall(from + (n * Hour)).ToString("HH", CultureInfo.InvariantCulture)
            );
        }
    }

    /// <summary>How much the guests are used hour by hour, so that quiet hours are seen.</summary>
    private IEnumerable<XElement> Busy(double y)
    {
        yield return Svg.Text(2, y + 15, "night-name", "guests in use");
        var sizes = keeping.Sums.Guests.Where(s => s.Guest.RunsIn is null && s.Guest.Placement is not null).ToList();
        var cores = Enumerable.Range(0, 24).Select(h => sizes.Sum(s => s.CoresAt(h))).ToList();
        var most = Math.Max(1e-9, cores.Max());
        for (var at = from; at < to; at += Hour)
        {
            var high = cores[keeping.Clock.Wall(at).Hour] / most * Bar;
            yield return Svg.Rect(X(at) + 1, y + Bar - high, X(at + Hour) - X(at) - 2, high, "night-busy");
        }
    }

    private IEnumerable<object> Line(NightLine line, double y)
    {
        yield return Svg.Text(2, y + 15, "night-name", Fitting(line.Name, left - 8));
        // Those that run at the same time lie one above the other, each with its part of the row.
        List<(NightRun Run, double From, double To)> bars =
        [
            .. night
                .Over(line)
                .Select(r =>
                    (Run: r, Spans: r.Spans.Where(s => s.To > from && r.Work.Pieces[s.Piece].Over.Any(u => u.Line == line)).ToList())
                )
                .Where(r => r.Spans.Count > 0)
                .Select(r => (r.Run, r.Spans[0].From, r.Spans[^1].To))
                .OrderBy(b => b.From),
        ];
        List<double> ends = [];
        List<int> lanes = [];
        foreach (var bar in bars)
        {
            var lane = ends.FindIndex(e => e <= bar.From + 1);
            if (lane < 0)
            {
                lane = ends.Count;
                ends.Add(0);
            }

            ends[lane] = bar.To;
            lanes.Add(lane);
        }

        var high = Bar / Math.Max(1, ends.Count);
        for (var n = 0; n < bars.Count; n++)
        {
            yield return Drawn(line, bars[n], y + 1 + (lanes[n] * high), Math.Max(3, high - (ends.Count > 1 ? 1 : 0)));
        }
    }

    private XElement Drawn(NightLine line, (NightRun Run, double From, double To) bar, double y, double high)
    {
        var (x, end) = (X(bar.From), X(bar.To));
        var late = night.IsLate(bar.Run);
        var kind = bar.Run.Work.Kind;
        var words = kind is NightKind.Copying ? bar.Run.Work.Name : KeepingWords.Kinds.Display(kind);
        var wide = Math.Max(3, end - x);
        List<object?> parts =
        [
            Svg.Rect(x, y, wide, high, $"night-bar {KeepingWords.Kinds.Word(kind)}{(late ? " late" : "")}", 3),
            new XElement(
                "title",
                $"{KeepingWords.Kinds.Display(kind)} {bar.Run.Work.Name}, {Clock(bar.Run.Starts)} to {Clock(bar.Run.Ends)}, {ByteSize.Rounded(bar.Run.Bytes).ToDecimalString()}"
            ),
        ];
        if (kind is NightKind.Thinning or NightKind.Tidying)
        {
            parts[1] = new XElement(
                "title",
                $"{KeepingWords.Kinds.Display(kind)} {bar.Run.Work.Name}, {Clock(bar.Run.Starts)} to {Clock(bar.Run.Ends)}"
            );
        }

        if (high >= 12)
        {
            var fits = wide > (words.Length * 6.4) + 8;
            var room = end + (words.Length * 6.4) + 6 < width;
            if (fits)
            {
                parts.Add(Svg.Text(x + 5, y + (high / 2) + 4, "night-text", words));
            }
            else if (room)
            {
                parts.Add(Svg.Text(end + 4, y + (high / 2) + 4, "night-text beside", words));
            }
        }

        if (bar.Run.Ends > to)
        {
            parts.Add(Svg.Path($"M{Svg.N(width - 6)} {Svg.N(y + 2)}l6 {Svg.N((high / 2) - 2)}-6 {Svg.N((high / 2) - 2)}z", "night-on"));
        }

        var group = Svg.Group("night-run", [.. parts]);
        if (
            kind is NightKind.Copying or NightKind.Onward
            && line.Kind == NightLineKind.Disk | line.Kind == NightLineKind.Line
            && bar.Run.Starts >= night.From
        )
        {
            group.Add(
                new XAttribute("data-night", KeepingWords.Kinds.Word(kind)),
                new XAttribute("data-name", bar.Run.Work.Name),
                new XAttribute("data-starts", keeping.Clock.Wall(bar.Run.Starts).ToString("HH:mm", CultureInfo.InvariantCulture)),
                new XAttribute("data-hour", Svg.N((width - left - 6) / ((to - from) / Hour)))
            );
        }

        return group;
    }

    private string Clock(double seconds) => NightClock.At(keeping, night, seconds);

    private static string Fitting(string name, double room)
    {
        var fits = (int)(room / 6.6);
        return name.Length <= fits ? name : name[..(fits - 1)] + "…";
    }
}
