using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Devices;
using Yuntak.Core.Findings;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;

namespace Yuntak.Web.Drawing;

/// <summary>The shapes that carry meaning: severities, guest kinds, and the classes of the families' hues.</summary>
internal static class Shapes
{
    /// <summary>The class that gives a family its hue.</summary>
    public static string Css(this Family family) => "fam-" + family.ToString().ToLowerInvariant();

    /// <summary>The class of a severity.</summary>
    public static string Css(this Severity severity) => severity.ToString().ToLowerInvariant();

    /// <summary>A severity: stop = octagon, mind = triangle, note = small disc.</summary>
    public static IHtmlContent Mark(Severity severity) => Svg.Decoration(16, 16, "mark-shape " + severity.Css(), MarkShape(severity));

    /// <summary>The same shape inside a drawing.</summary>
    public static XElement MarkAt(Severity severity, double x, double y, double size) =>
        new(
            "g",
            new XAttribute("transform", $"translate({Svg.N(x)} {Svg.N(y)}) scale({size / 16:0.##})"),
            new XAttribute("class", "mark-at " + severity.Css()),
            MarkShape(severity)
        );

    /// <summary>All is well: a disc with a tick.</summary>
    public static IHtmlContent Well() =>
        Svg.Decoration(16, 16, "mark-shape well", Svg.Circle(8, 8, 6.4, ""), Svg.Path("M5 8.2l2.1 2.1L11.2 6", "tick-stroke"));

    /// <summary>Whether a claim can be met: a tick, a triangle where something goes along, an octagon where it cannot.</summary>
    public static IHtmlContent Answer(ClaimAnswer answer) =>
        answer switch
        {
            ClaimAnswer.Possible => Well(),
            ClaimAnswer.Collateral => Mark(Severity.Mind),
            ClaimAnswer.Impossible => Mark(Severity.Stop),
        };

    /// <summary>Work waits here: an open ring.</summary>
    public static IHtmlContent Waiting() => Svg.Decoration(16, 16, "mark-shape waiting", Svg.Circle(8, 8, 5.6, "ring-stroke"));

    /// <summary>A small sample of a guest kind's block.</summary>
    public static IHtmlContent Kind(GuestKind kind, string family = "fam-workshop") =>
        Svg.Decoration(22, 13, "kind-shape", [.. Block(0, 0, 22, 13, kind, family)]);

    /// <summary>A guest's block: machine square, system container round and hatched, app stack with two dotted rails.</summary>
    public static IEnumerable<XElement> Block(double x, double y, double width, double height, GuestKind kind, string family)
    {
        var round = kind == GuestKind.SystemContainer ? Math.Min(height, width) / 2.6 : 2;
        yield return Svg.Rect(x, y, width, height, "block " + family, round);
        if (kind == GuestKind.SystemContainer)
        {
            yield return Svg.Rect(x, y, width, height, "hatch", round);
        }
        else if (kind == GuestKind.AppStack)
        {
            var inset = Math.Min(5, height / 4);
            yield return Svg.Line(x + 1, y + inset, x + width - 1, y + inset, "rail");
            yield return Svg.Line(x + 1, y + height - inset, x + width - 1, y + height - inset, "rail");
        }
    }

    private static XElement MarkShape(Severity severity) =>
        severity switch
        {
            Severity.Stop => Svg.Path("M5 1h6l4 4v6l-4 4H5l-4-4V5z", ""),
            Severity.Mind => Svg.Path("M8 1.8L15 14H1z", ""),
            Severity.Note => Svg.Circle(8, 8, 4.6, ""),
        };
}
