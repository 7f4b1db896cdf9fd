using Microsoft.AspNetCore.Html;
using Yuntak.Core.Shapes;

namespace Yuntak.Web.Drawing;

/// <summary>A drawing laid out for two widths, since only the style knows how wide the window is; the other one is neither seen nor read aloud.</summary>
internal static class ForBoth
{
    /// <summary>Both, the wide one first.</summary>
    public static IHtmlContent Of(IHtmlContent wide, IHtmlContent narrow) =>
        new HtmlContentBuilder()
            .AppendHtml("<div class=\"for-wide\">")
            .AppendHtml(wide)
            .AppendHtml("</div><div class=\"for-narrow\">")
            .AppendHtml(narrow)
            .AppendHtml("</div>");
}
