using System.Xml.Linq;
using Yuntak.Core.Base;
using Yuntak.Formats.Intake;

namespace Yuntak.Web.Drawing.Kit;

/// <summary>Puts drawn things side by side, and begins a new row where the next one would stick out.</summary>
/// <param name="into">Where the things go.</param>
/// <param name="top">Where the first row begins.</param>
/// <param name="width">How wide a row may be.</param>
internal sealed class Flow(List<object> into, double top, double width)
{
    private const double Gap = 8;
    private double x;
    private double y = top;
    private double tallest;
    private string? heading;

    /// <summary>Whether anything was put.</summary>
    public bool Any { get; private set; }

    /// <summary>How far the widest row reaches: further than a row may when a single thing is wider than that.</summary>
    public double Widest { get; private set; }

    /// <summary>Where the last row ends.</summary>
    public double Bottom => y + tallest;

    /// <summary>Names what comes next; the words stand above the first of it.</summary>
    public void Section(string words)
    {
        heading = words;
        x += x > 0 ? Gap : 0;
    }

    /// <summary>Puts a thing of this size at the next free place.</summary>
    /// <param name="wide">Its width.</param>
    /// <param name="high">Its height, the line for the heading above apart.</param>
    /// <param name="draw">Draws it with its upper left corner at the place given.</param>
    public void Put(double wide, double high, Func<double, double, XElement> draw)
    {
        const double HeadingHigh = 13;
        if (x > 0 && x + wide > width)
        {
            y = Bottom + Gap;
            x = 0;
            tallest = 0;
        }

        if (heading is not null)
        {
            into.Add(Svg.Text(x, y + 8, "kit-text", heading));
            heading = null;
        }

        into.Add(draw(x, y + HeadingHigh));
        Widest = Math.Max(Widest, x + wide);
        x += wide + Gap;
        tallest = Math.Max(tallest, HeadingHigh + high);
        Any = true;
    }
}
