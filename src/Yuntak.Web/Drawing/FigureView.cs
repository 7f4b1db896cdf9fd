using Microsoft.AspNetCore.Html;
using Microsoft.AspNetCore.Mvc.Rendering;
using Yuntak.Core.Figures;

namespace Yuntak.Web.Drawing;

/// <summary>A figure that can be opened: the value, and behind it formula, inputs with their origin, result and source.</summary>
internal static class FigureView
{
    /// <summary>The figure, with other words for its value where the page needs them.</summary>
    public static IHtmlContent Show(IFigure figure, string? words = null)
    {
        var details = new TagBuilder("details");
        details.AddCssClass("fig");
        var summary = new TagBuilder("summary");
        summary.Attributes["title"] = "Open the working";
        summary.InnerHtml.Append(words ?? figure.ValueText);
        if (figure.RestsOnAssumptions)
        {
            summary.AddCssClass("assumed");
        }

        details.InnerHtml.AppendHtml(summary).AppendHtml(Working(figure));
        return details;
    }

    private static TagBuilder Working(IFigure figure)
    {
        var box = new TagBuilder("div");
        box.AddCssClass("working");
        Line(box, "p", "working-title", figure.Label);
        Line(box, "p", "working-formula", "= " + figure.Formula);
        var list = new TagBuilder("dl");
        foreach (var input in figure.Inputs)
        {
            Line(list, "dt", null, input.Label);
            var value = new TagBuilder("dd");
            value.InnerHtml.Append(input.ValueText);
            var origin = new TagBuilder("span");
            origin.AddCssClass("origin");
            origin.InnerHtml.Append(" " + input.Origin.ToString().ToLowerInvariant() + (input.Note is null ? "" : $", {input.Note}"));
            value.InnerHtml.AppendHtml(origin);
            list.InnerHtml.AppendHtml(value);
        }

        box.InnerHtml.AppendHtml(list);
        Line(box, "p", "working-result", "= " + figure.ValueText);
        Line(box, "p", "working-source", "Source: " + figure.Source.Text);
        return box;
    }

    private static void Line(TagBuilder into, string tag, string? css, string text)
    {
        var line = new TagBuilder(tag);
        if (css is not null)
        {
            line.AddCssClass(css);
        }

        line.InnerHtml.Append(text);
        into.InnerHtml.AppendHtml(line);
    }
}
