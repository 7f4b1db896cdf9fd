using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Yuntak.Web.Pages;

/// <summary>The plain page for what cannot be shown.</summary>
[IgnoreAntiforgeryToken]
public sealed class TroubleModel : PageModel
{
    public string Heading { get; private set; } = "";

    public string Text { get; private set; } = "";

    public void OnGet(int code) => Say(code);

    public void OnPost(int code) => Say(code);

    private void Say(int code) =>
        (Heading, Text) = code switch
        {
            401 => ("Sign in first", "Yuntak asks who is there. Nothing was changed."),
            404 => ("There is nothing here", "The page may have been about something that is gone. Nothing was changed."),
            400 => (
                "That could not be taken",
                "The page had been open too long, or what was sent is too large or not whole. Nothing was changed. Go back, load the page again and try once more."
            ),
            413 => ("That is too large", "Nothing over 64 MiB is taken in. Nothing was changed."),
            _ => ("That did not work", "Nothing was changed."),
        };
}
