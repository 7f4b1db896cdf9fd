using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Web.Pages.Bench;

namespace Yuntak.Web.Drawing;

/// <summary>
/// A host's memory as it is and, below it to the same scale, as it would be: who comes has a dashed outline and a plus, who goes is struck through above, who stays is
/// plain. Stroke and sign carry the meaning; the hue is the family's.
/// </summary>
internal static class GhostRuler
{
    private const double Wide = 860;
    private const double Narrow = 344;
    private const double Height = 26;
    private const double Gap = 10;
    private const double Letter = 6.6;

    /// <summary>Both rulers, for wide windows and for phones.</summary>
    public static IHtmlContent Draw(GhostBoard board) => ForBoth.Of(Draw(board, Wide), Draw(board, Narrow));

    private static Svg Draw(GhostBoard board, double wide)
    {
        var total = board.Then.Memory.Total.GiB;
        var most = Math.Max(total, Math.Max(board.Then.Memory.Committed.Value.GiB, board.Now?.Memory.Committed.Value.GiB ?? 0));
        const double Label = 34;
        var scale = (wide - Label) / most;
        List<object> drawn = [];
        var goes = board.Goes.Select(g => g.Guest.Id).ToHashSet();
        var comes = board.Comes.Select(c => c.Guest.Id).ToHashSet();
        var y = 0.0;
        if (board.Now is { } now)
        {
            drawn.Add(Svg.Text(0, y + 17, "ghost-label", "now"));
            drawn.AddRange(
                Row(now.Memory, Label, y, scale, (g, x, width) => Block(g, x, y, width, goes.Contains(g.Guest.Id) ? "goes" : ""))
            );
            y += Height + Gap;
        }

        var then = y;
        drawn.Add(Svg.Text(0, then + 17, "ghost-label", "then"));
        drawn.AddRange(
            Row(
                board.Then.Memory,
                Label,
                then,
                scale,
                (g, x, width) => Block(g, x, then, width, comes.Contains(g.Guest.Id) ? "comes" : "stays")
            )
        );
        var limit = Label + (total * MemoryBudget.TightShare.Value * scale);
        drawn.Add(Svg.Line(limit, -2, limit, then + Height + 3, "limit"));
        return Svg.Of(
            0,
            -2,
            wide,
            then + Height + 5,
            $"Memory of {board.Then.Host.Name}: "
                + (board.Now is { } was ? $"{was.Memory.Committed.Value} of {was.Memory.Total} now, " : "")
                + $"{board.Then.Memory.Committed.Value} of {board.Then.Memory.Total} then",
            "ruler ghost-ruler",
            [.. drawn]
        );
    }

    private static IEnumerable<object> Row(
        MemoryBudget memory,
        double left,
        double y,
        double scale,
        Func<MemoryShare, double, double, XElement> block
    )
    {
        yield return Svg.Rect(left, y, memory.Total.GiB * scale, Height, "bed", 3);
        var x = left;
        foreach (var (size, css) in new[] { (memory.HostBase, "own"), (memory.ReadCache, "cache") })
        {
            if (size > ByteSize.Zero)
            {
                yield return Svg.Rect(x + 0.5, y, Math.Max(0, (size.GiB * scale) - 1), Height, css, 2);
                x += size.GiB * scale;
            }
        }

        foreach (var share in memory.Shares)
        {
            var width = share.Committed.GiB * scale;
            yield return block(share, x, width);
            x += width;
        }
    }

    private static XElement Block(MemoryShare share, double x, double y, double width, string how)
    {
        var name =
            (
                how == "comes" ? "+ "
                : how == "goes" ? "− "
                : ""
            ) + share.Guest.Name;
        List<object?> parts =
        [
            .. Shapes.Block(x + 0.5, y, Math.Max(1.5, width - 1), Height, share.Guest.Kind, share.Sizing.Leading.Family.Css()),
            how == "comes" ? Svg.Rect(x + 1.5, y + 1, Math.Max(1, width - 3), Height - 2, "ghost-edge", 3) : null,
            how == "goes" ? Svg.Line(x + 2, y + Height - 3, x + Math.Max(3, width - 2), y + 3, "ghost-strike") : null,
            width > (name.Length * Letter) + 6 ? Svg.Text(x + (width / 2), y + 17, "block-name", name) : null,
        ];
        return Svg.Group($"ghost-part {how}".TrimEnd(), [.. parts]);
    }
}
