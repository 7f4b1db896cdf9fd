using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Mvc.Rendering;
using Microsoft.AspNetCore.Mvc.ViewFeatures;
using Microsoft.AspNetCore.Razor.TagHelpers;

namespace Yuntak.Web.Shared;

/// <summary>Every form that changes something carries the anti-forgery token and the revision it was shown with, without each page having to remember.</summary>
[HtmlTargetElement("form", Attributes = "[method='post']")]
public sealed class LabFormTagHelper(IAntiforgery antiforgery) : TagHelper
{
    [ViewContext]
    [HtmlAttributeNotBound]
    public ViewContext ViewContext { get; set; } = null!;

    public override void Process(TagHelperContext context, TagHelperOutput output)
    {
        var tokens = antiforgery.GetAndStoreTokens(ViewContext.HttpContext);
        output.PostContent.AppendHtml(Hidden(tokens.FormFieldName, tokens.RequestToken ?? ""));
        if (Page(ViewContext) is { Desk: { } desk })
        {
            output.PostContent.AppendHtml(Hidden("based-on", desk.Draft.Revision.ToString()));
        }
    }

    /// <summary>The page itself, also when the form is in a partial with a model of its own.</summary>
    private static LabPageModel? Page(ViewContext view) => view.HttpContext.Items[typeof(LabPageModel)] as LabPageModel;

    private static TagBuilder Hidden(string name, string value)
    {
        var input = new TagBuilder("input") { TagRenderMode = TagRenderMode.SelfClosing };
        input.Attributes["type"] = "hidden";
        input.Attributes["name"] = name;
        input.Attributes["value"] = value;
        return input;
    }
}
