using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Yuntak.Web.Door;

namespace Yuntak.Web.Pages;

/// <summary>Where one comes in, and leaves.</summary>
public sealed class SignInModel(FrontDoor door, PassFile pass) : PageModel
{
    public FrontDoor Door => door;

    /// <summary>Whether the file with the phrase cannot be read.</summary>
    public bool IsDamaged => pass.IsDamaged;

    /// <summary>Where to go afterwards; a path of this site.</summary>
    public string Then { get; private set; } = "/";

    /// <summary>Why it did not open.</summary>
    public string? Problem { get; private set; }

    public void OnGet(string? then) => Then = Own(then);

    public async Task<IActionResult> OnPostAsync(string? phrase, string? then)
    {
        Then = Own(then);
        Problem = await door.TryAsync(HttpContext, phrase);
        return Problem is null ? LocalRedirect(Then) : Page();
    }

    /// <summary>Signs this browser out.</summary>
    public async Task<IActionResult> OnPostOutAsync()
    {
        await door.SignOutAsync(HttpContext);
        return Redirect(DoorMiddleware.SignIn);
    }

    /// <summary>Signs every browser out. Only one that is signed in may.</summary>
    public async Task<IActionResult> OnPostOutEverywhereAsync()
    {
        if (await door.KnowsAsync(HttpContext))
        {
            pass.SignOutEverywhere();
        }

        return await OnPostOutAsync();
    }

    private string Own(string? then) => Url.IsLocalUrl(then) ? then : "/";
}
