using System.Xml.Linq;
using Yuntak.Core.Shapes;

namespace Yuntak.Web.Drawing;

/// <summary>Places names above narrow blocks, each with a line down to its block, so that no two overlap. As many rows as it takes, up to four.</summary>
internal sealed class LeaderLabels(double width)
{
    private const double CharWidth = 6.1;
    private const double Row = 13;
    private const int MostRows = 4;
    private readonly List<double> taken = [];

    /// <summary>Rows in use, at least one so that all rulers line up.</summary>
    public int Rows => Math.Max(1, taken.Count);

    public (XElement Line, XElement Name) Place(string text, double middle)
    {
        var half = text.Length * CharWidth / 2;
        var at = Math.Clamp(middle, half, Math.Max(half, width - half));
        var row = taken.FindIndex(end => at - half >= end);
        if (row < 0 && taken.Count < MostRows)
        {
            taken.Add(0);
            row = taken.Count - 1;
        }

        if (row < 0)
        {
            // All rows are full here: the name moves along the row that ends first.
            row = taken.IndexOf(taken.Min());
            at = Math.Min(taken[row] + half, width - half);
        }

        taken[row] = at + half + 5;
        var y = -5 - (row * Row);
        return (Svg.Line(at, y + 2, middle, 0, "leader"), Svg.Part(at, y, "leader-text", text));
    }
}
