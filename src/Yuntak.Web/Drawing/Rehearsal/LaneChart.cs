using System.Globalization;
using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Units;

namespace Yuntak.Web.Drawing;

/// <summary>A rehearsal to scale: a lane a guest, a gap is somebody waiting, ticks above are steps, a flag is a fault that was tried, and the play head.</summary>
internal sealed class LaneChart
{
    /// <summary>With more lanes than that only those with something to see are drawn.</summary>
    public const int MostLanes = 24;

    private const double Wide = 780;
    private const double Narrow = 344;
    private const double Top = 34;
    private const double Row = 30;
    private const double Bar = 17;
    private readonly Core.Rehearsals.Rehearsal rehearsal;
    private readonly IReadOnlyList<Lane> lanes;
    private readonly ProfileBook book;
    private readonly double width;
    private readonly double left;
    private readonly double scale;
    private readonly int minutes;

    private LaneChart(Core.Rehearsals.Rehearsal rehearsal, IReadOnlyList<Lane> lanes, ProfileBook book, double width, double left)
    {
        (this.rehearsal, this.lanes, this.book, this.width, this.left) = (rehearsal, lanes, book, width, left);
        minutes = Math.Max(1, rehearsal.Minutes);
        scale = (width - left - 4) / minutes;
    }

    /// <summary>The chart twice, for wide windows and for phones.</summary>
    /// <param name="rehearsal">The rehearsal.</param>
    /// <param name="lab">The lab that is planned.</param>
    /// <param name="at">The step the play head stands at; null for none.</param>
    public static IHtmlContent Draw(Core.Rehearsals.Rehearsal rehearsal, Lab lab, RehearsedStep? at)
    {
        var shown = Shown(rehearsal);
        return ForBoth.Of(
            new LaneChart(rehearsal, shown, lab.Book, Wide, 92).Drawing(at),
            new LaneChart(rehearsal, shown, lab.Book, Narrow, 80).Drawing(at)
        );
    }

    /// <summary>The lanes that are drawn: all of them while they are few, else those of guests that come, go or wait, the longest wait first.</summary>
    public static IReadOnlyList<Lane> Shown(Core.Rehearsals.Rehearsal rehearsal)
    {
        if (rehearsal.Lanes.Count <= MostLanes)
        {
            return rehearsal.Lanes;
        }

        return
        [
            .. rehearsal
                .Lanes.Where(l => l.Runs.Sum(r => r.To - r.From) < rehearsal.Minutes)
                .OrderBy(l => l.Runs.Sum(r => r.To - r.From))
                .Take(MostLanes),
        ];
    }

    private Svg Drawing(RehearsedStep? at)
    {
        var bottom = Top + (lanes.Count * Row);
        List<object?> drawn = [.. Hours(bottom), .. Steps()];
        foreach (var (lane, n) in lanes.Select((l, n) => (l, n)))
        {
            drawn.Add(Lane(lane, Top + (n * Row)));
        }

        drawn.AddRange(Flags());
        if (at is not null)
        {
            drawn.AddRange(Head(at, bottom));
        }

        return Svg.Of(
            0,
            0,
            width,
            bottom + 32,
            $"The rehearsal: {rehearsal.Steps.Count} steps in {new Duration(rehearsal.Minutes).Exactly()}; the list below says the same",
            "lanes",
            [.. drawn]
        );
    }

    private double X(int minute) => left + (minute * scale);

    private IEnumerable<XElement> Hours(double bottom)
    {
        var step = Steplength(minutes);
        for (long minute = 0; minute <= minutes; minute += step)
        {
            var x = X((int)minute);
            yield return Svg.Line(x, Top - 4, x, bottom, "grid-line");
            yield return Svg.Text(x, bottom + 13, $"tick-text {(minute == 0 ? "start" : "")}", Clock(minute));
        }
    }

    /// <summary>About six marks, at lengths people count in.</summary>
    private int Steplength(int whole)
    {
        int[] lengths = [5, 10, 15, 30, 60, 120, 240, 480, 720, 1_440, 2_880, 7_200, 14_400];
        var fits = width < Wide ? 4 : 7;
        return lengths.FirstOrDefault(l => whole / l <= fits, (whole / fits) + 1);
    }

    private static string Clock(long minute) =>
        minute >= 2_880 ? $"{minute / 1440} d" : string.Create(CultureInfo.InvariantCulture, $"{minute / 60}:{minute % 60:00}");

    private IEnumerable<XElement> Steps()
    {
        var (last, lastWords) = (-99.0, -99.0);
        foreach (var step in rehearsal.Steps)
        {
            var x = X(step.Starts);
            if (x - last >= 2)
            {
                yield return Svg.Line(x, 18, x, 26, $"step-tick{(step.Outcome == StepOutcome.Refused ? " refused" : "")}");
                last = x;
            }

            if (step.Number.EndsWith(".1", StringComparison.Ordinal) && x - lastWords > 30)
            {
                yield return Svg.Text(x, 12, "step-number", step.Number);
                lastWords = x;
            }
        }
    }

    private XElement Lane(Lane lane, double y)
    {
        var guest = rehearsal.Guest(lane.Guest);
        var name = rehearsal.NameOf(lane.Guest);
        var family = (guest?.Wants.Select(w => book.Find(w.ProfileId)).FirstOrDefault(p => p is not null)?.Family ?? Family.Workshop).Css();
        List<object?> parts = [Svg.Text(2, y + 13, "lane-name", Short(name))];
        var at = lane.Runs.Count > 0 ? lane.Runs[0].From : 0;
        foreach (var (from, to) in lane.Runs)
        {
            if (from > at)
            {
                parts.AddRange(Gap(at, from, y));
            }

            parts.AddRange(Shapes.Block(X(from), y, Math.Max(1.5, (to - from) * scale), Bar, guest?.Kind ?? GuestKind.Machine, family));
            at = to;
        }

        var end = lane.Ends ?? minutes;
        if (lane.Runs.Count > 0 && end > at)
        {
            parts.AddRange(Gap(at, end, y));
        }

        var group = Svg.Group("lane", [.. parts]);
        group.Add(new XAttribute("data-guest", lane.Guest.Value));
        return group;
    }

    private IEnumerable<XElement> Gap(int from, int to, double y)
    {
        var wide = (to - from) * scale;
        yield return Svg.Rect(X(from), y + 1, Math.Max(2, wide), Bar - 2, "gap", 3);
        if (wide > 44)
        {
            yield return Svg.Text(X(from) + (wide / 2), y + 12.5, "gap-text", new Duration(to - from).Exactly());
        }
    }

    private IEnumerable<XElement> Flags()
    {
        foreach (var tried in rehearsal.Faults.Take(12))
        {
            if (rehearsal.Steps.FirstOrDefault(s => s.Step.Id == tried.Step) is { } step)
            {
                var x = X(step.Starts);
                yield return Svg.Path(
                    $"M{Svg.N(x)} 30V16h9l-2.5 3 2.5 3h-9",
                    $"flag {(tried.Outcome == StepOutcome.Missed ? "stop" : "mind")}"
                );
                if (rehearsal.Faults.Count == 1)
                {
                    var right = x > width - 170;
                    yield return Svg.Text(
                        right ? x - 4 : x + 13,
                        28,
                        $"flag-text {(right ? "end" : "start")}",
                        $"{tried.Fault.Words}, tried here"
                    );
                }
            }
        }
    }

    private IEnumerable<XElement> Head(RehearsedStep at, double bottom)
    {
        var x = X(at.Ends);
        yield return Svg.Line(x, 22, x, bottom + 4, "play-head");
        yield return Svg.Path($"M{Svg.N(x - 4.5)} 20h9L{Svg.N(x)} 27z", "play-mark");
        var right = x > width - 120;
        yield return Svg.Text(
            right ? x - 4 : x + 4,
            bottom + 27,
            $"play-text {(right ? "end" : "start")}",
            $"{at.Number}, {new Duration(at.Ends).Exactly()} in"
        );
    }

    private string Short(string name)
    {
        var fits = (int)((left - 6) / 6.6);
        return name.Length <= fits ? name : name[..(fits - 1)] + "…";
    }
}
