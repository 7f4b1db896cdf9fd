using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Formats.Intake;

namespace Yuntak.Web.Drawing;

/// <summary>A host's memory as a ruler: the host's own part, the read cache, every guest to scale, what is spare, and the line at 90 %.</summary>
internal static class MemoryRuler
{
    private const double Wide = 600;
    private const double Narrow = 344;
    private const double Height = 34;
    private static readonly Drawn<HostAssessment> Kept = new();
    private const double LabelRow = 13;
    private const double InsideHeight = 6;

    /// <summary>The ruler twice, for wide windows and for phones; the style shows the one there is room for.</summary>
    public static IHtmlContent Draw(HostAssessment host) =>
        Kept.Of(host, "", () => ForBoth.Of(Draw(host, Wide, "ruler-"), Draw(host, Narrow, "ruler-narrow-")));

    private static Svg Draw(HostAssessment host, double wide, string ids)
    {
        var memory = host.Memory;
        // When more is committed than there is, the scale grows so that the excess can be seen past the end of the ruler.
        var most = Math.Max(memory.Total.GiB, memory.Committed.Value.GiB);
        var scale = wide / most;
        List<object> drawn = [Svg.Rect(0, 0, memory.Total.GiB * scale, Height, "bed", 3)];
        var x = 0.0;
        x = Own(drawn, x, memory.HostBase, scale, "own", "host");
        x = Own(drawn, x, memory.ReadCache, scale, "cache", $"cache {Numbers.Short(memory.ReadCache.GiB)}");
        var labels = new LeaderLabels(wide);
        foreach (var share in memory.Shares)
        {
            var width = share.Committed.GiB * scale;
            drawn.Add(Guest(host, share, x, width, labels, ids));
            x += width;
        }

        if (wide - x > 90)
        {
            drawn.Add(Svg.Text(x + ((wide - x) / 2), 21, "spare-text", $"{memory.Spare} spare"));
        }

        drawn.Add(
            Svg.Line(
                memory.Total.GiB * MemoryBudget.TightShare * scale,
                -2,
                memory.Total.GiB * MemoryBudget.TightShare * scale,
                Height + 4,
                "limit"
            )
        );
        drawn.AddRange(Ticks(memory.Total.GiB, scale, wide));
        var top = LabelRow * labels.Rows + 2;
        return Svg.Of(
            0,
            -top,
            wide,
            top + Height + 18,
            $"Memory of {host.Host.Name}: {memory.Committed.Value} committed of {memory.Total}",
            "ruler",
            [.. drawn]
        );
    }

    private static double Own(List<object> drawn, double x, ByteSize size, double scale, string css, string text)
    {
        var width = size.GiB * scale;
        if (width <= 0)
        {
            return x;
        }

        drawn.Add(Svg.Rect(x + 0.5, 0, width - 1, Height, css, 2));
        if (width > text.Length * 6.2 + 6)
        {
            drawn.Add(Svg.Text(x + (width / 2), 21, css + "-text", text));
        }

        return x + width;
    }

    private static XElement Guest(HostAssessment host, MemoryShare share, double x, double width, LeaderLabels labels, string ids)
    {
        var guest = share.Guest;
        var family = share.Sizing.Leading.Family.Css();
        var block = Shapes.Block(x + 0.5, 0, Math.Max(1.5, width - 1), Height, guest.Kind, family).Cast<object>().ToList();
        block.AddRange(Inside(share, x, width));
        var figure = Numbers.Short(share.Committed.GiB);
        var middle = x + (width / 2);
        // Name and figure are one text, so that what is read aloud holds what is seen.
        XElement words;
        var said = true;
        if (width > (guest.Name.Length * 6.8) + 8)
        {
            words = Svg.Words(
                Svg.Part(middle, share.Sizing.Inner.Count > 0 ? 12 : 15, "block-name", guest.Name),
                Svg.Part(middle, share.Sizing.Inner.Count > 0 ? 23.5 : 28, "block-value", figure)
            );
        }
        else
        {
            var (line, name) = labels.Place(Short(guest.Name), middle);
            block.Add(line);
            said = width > (figure.Length * 6.5) + 4;
            words = Svg.Words(name, said ? Svg.Part(middle, 21, "block-value", figure) : null);
        }

        block.Add(words);
        return new XElement(
            "a",
            new XAttribute("href", $"/Bench?guest={Uri.EscapeDataString(guest.Id.Value)}"),
            new XAttribute("class", "gst"),
            new XAttribute("id", ids + guest.Id),
            new XAttribute("data-guest", guest.Id.Value),
            new XAttribute("data-name", guest.Name),
            new XAttribute("data-host", host.Host.Id.Value),
            new XAttribute(
                "aria-label",
                $"{words.Value}{(said ? "" : $" {figure}")}{Numbers.ThinSpace}GiB of memory on {host.Host.Name}, {guest.Kind.Words()} {guest.Name}{InsideWords(share)}"
            ),
            block
        );
    }

    /// <summary>The app stacks a guest's engine runs, to scale along the foot of its block.</summary>
    private static IEnumerable<XElement> Inside(MemoryShare share, double x, double width)
    {
        var stacks = share.Sizing.Inner.Select(s => (Stack: s, Gib: new MemoryShare(s.Guest, s).Committed.GiB)).ToList();
        // A machine that may shrink, or whose memory was set too small, can hold less than its stacks want: they then share what there is.
        var scale = width / Math.Max(share.Committed.GiB, stacks.Sum(s => s.Gib));
        var at = x + 2;
        foreach (var (stack, gib) in stacks)
        {
            var room = gib * scale;
            yield return Svg.Rect(
                at,
                Height - InsideHeight - 2,
                Math.Max(1, room - 2),
                InsideHeight,
                "inside " + stack.Leading.Family.Css(),
                1
            );
            at += room;
        }
    }

    private static string InsideWords(MemoryShare share) =>
        share.Sizing.Inner.Count == 0 ? "" : $", with {string.Join(", ", share.Sizing.Inner.Select(s => s.Guest.Name))} inside";

    private static IEnumerable<XElement> Ticks(double total, double scale, double wide)
    {
        var step = Step(total);
        for (var gib = 0.0; gib <= total + 1e-6; gib += step / 2)
        {
            var whole = Math.Abs(gib / step - Math.Round(gib / step)) < 1e-6;
            var at = gib * scale;
            yield return Svg.Line(at, Height + 2, at, Height + (whole ? 7 : 5), "tick");
            if (whole)
            {
                yield return Svg.Text(Math.Clamp(at, 5, wide - 8), Height + 16, "tick-text", Numbers.Short(gib));
            }
        }
    }

    /// <summary>A step that gives about four numbered ticks: a power of two.</summary>
    private static double Step(double total) => Math.Pow(2, Math.Round(Math.Log2(Math.Max(total, 0.001) / 4)));

    private static string Short(string name) => name.Length > 24 ? name[..23] + "…" : name;
}
