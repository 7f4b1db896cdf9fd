using System.Text;
using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;
using Yuntak.Web.Rooms;

namespace Yuntak.Web.Drawing;

/// <summary>A host's day: 24 columns of the cores its guests want, stacked, against the line of its effective cores.</summary>
internal static class DayColumns
{
    private const double Width = 250;
    private const double Base = 55;
    private const double Room = 50;

    public static IHtmlContent Draw(HostAssessment host)
    {
        var processor = host.Processor;
        var effective = processor.Effective.Value.Value;
        var scale = Room / Math.Max(effective, processor.Peak.Value.Value);
        var column = Width / DayShape.Hours;
        var levels = new double[DayShape.Hours];
        List<object> drawn = [];
        foreach (var guest in processor.Guests)
        {
            var path = new StringBuilder();
            for (var hour = 0; hour < DayShape.Hours; hour++)
            {
                var height = guest.CoresAt(hour) * scale;
                levels[hour] += height;
                path.Append('M').Append(Svg.N((hour * column) + 0.6)).Append(' ').Append((Base - levels[hour]).ToString("0.00"));
                path.Append('h')
                    .Append(Svg.N(column - 1.2))
                    .Append('v')
                    .Append(height.ToString("0.00"))
                    .Append('h')
                    .Append(Svg.N(1.2 - column))
                    .Append('z');
            }

            var part = Svg.Path(path.ToString(), "part " + guest.Leading.Family.Css());
            part.Add(new XAttribute("data-guest", guest.Guest.Id.Value));
            drawn.Add(part);
        }

        var line = Base - (effective * scale);
        drawn.Add(Svg.Line(0, line, Width, line, "limit"));
        drawn.Add(Svg.Line(0, Base + 0.5, Width, Base + 0.5, "axis"));
        foreach (var hour in new[] { 0, 6, 12, 18 })
        {
            drawn.Add(Svg.Text((hour * column) + (hour == 0 ? 7 : 5), Base + 11, "tick-text", hour.ToString("00")));
        }

        return Svg.Of(
            0,
            0,
            Width,
            68,
            $"Cores wanted on {host.Host.Name} by hour: most at {Numbers.Hour(processor.PeakHour)}, {processor.Peak.Value} of {Numbers.OneDecimal(effective)}",
            "columns",
            [.. drawn]
        );
    }
}
