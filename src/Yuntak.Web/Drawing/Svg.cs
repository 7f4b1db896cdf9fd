using System.Globalization;
using System.Text.Encodings.Web;
using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Shapes;

namespace Yuntak.Web.Drawing;

/// <summary>Builds SVG as a tree, so that every text in it is encoded by construction.</summary>
internal sealed class Svg : IHtmlContent
{
    private readonly XElement root;

    private Svg(XElement root) => this.root = root;

    /// <summary>A drawing of this view box, as wide as its place allows.</summary>
    public static Svg Of(double x, double y, double width, double height, string label, string css, params object?[] content) =>
        new(
            new XElement(
                "svg",
                new XAttribute("viewBox", $"{N(x)} {N(y)} {N(width)} {N(height)}"),
                new XAttribute("class", css),
                new XAttribute("role", "group"),
                new XAttribute("aria-label", label),
                content
            )
        );

    /// <summary>A drawing that says nothing by itself; the words beside it do.</summary>
    public static Svg Decoration(double width, double height, string css, params object?[] content) =>
        new(
            new XElement(
                "svg",
                new XAttribute("viewBox", $"0 0 {N(width)} {N(height)}"),
                new XAttribute("class", css),
                new XAttribute("aria-hidden", "true"),
                content
            )
        );

    public static XElement Rect(double x, double y, double width, double height, string css, double round = 0)
    {
        var rect = new XElement(
            "rect",
            A("x", x),
            A("y", y),
            A("width", Math.Max(0, width)),
            A("height", Math.Max(0, height)),
            new XAttribute("class", css)
        );
        if (round > 0)
        {
            rect.Add(A("rx", round));
        }

        return rect;
    }

    public static XElement Line(double x1, double y1, double x2, double y2, string css) =>
        new("line", A("x1", x1), A("y1", y1), A("x2", x2), A("y2", y2), new XAttribute("class", css));

    public static XElement Text(double x, double y, string css, string text) =>
        new("text", A("x", x), A("y", y), new XAttribute("class", css), text);

    /// <summary>A text of several parts, each with a place of its own, with a blank between them for those who hear it.</summary>
    public static XElement Words(params XElement?[] parts) =>
        new("text", parts.Where(p => p is not null).SelectMany((p, n) => n == 0 ? [p!] : new object[] { " ", p! }));

    /// <summary>One part of a text.</summary>
    public static XElement Part(double x, double y, string css, string text) =>
        new("tspan", A("x", x), A("y", y), new XAttribute("class", css), text);

    public static XElement Path(string d, string css) => new("path", new XAttribute("d", d), new XAttribute("class", css));

    public static XElement Circle(double x, double y, double r, string css) =>
        new("circle", A("cx", x), A("cy", y), A("r", r), new XAttribute("class", css));

    public static XElement Group(string css, params object?[] content) => new("g", new XAttribute("class", css), content);

    /// <summary>Things drawn elsewhere, moved to a place.</summary>
    public static XElement Moved(double x, double y, params object?[] content) =>
        new("g", new XAttribute("transform", $"translate({N(x)} {N(y)})"), content);

    /// <summary>A link around drawn things. Its name is what is written in them, so that whoever says what they see is understood.</summary>
    public static XElement Link(string href, XElement content)
    {
        // Texts side by side would be heard as one word.
        content.Descendants("text").ToList().ForEach(t => t.AddAfterSelf(" "));
        return new("a", new XAttribute("href", href), new XAttribute("class", "look"), content);
    }

    public static XAttribute A(string name, double value) => new(name, N(value));

    /// <summary>A coordinate, to a tenth of a unit.</summary>
    public static string N(double value) => Math.Round(value, 1).ToString("0.#", CultureInfo.InvariantCulture);

    public void WriteTo(TextWriter writer, HtmlEncoder encoder) => writer.Write(root.ToString(SaveOptions.DisableFormatting));
}
