using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Yuntak.Core.Base;
using Yuntak.Web.Door;

namespace Yuntak.Web.Pages;

/// <summary>Sets the pass phrase: the first one from the machine itself, another one by who knows the one before.</summary>
public sealed class PassModel(FrontDoor door, PassFile pass) : PageModel
{
    public FrontDoor Door => door;

    /// <summary>Why it was not set.</summary>
    public string? Problem { get; private set; }

    public IActionResult OnGet() => door.HasPass || door.MaySetFirst(HttpContext) ? Page() : Redirect(DoorMiddleware.SignIn);

    public async Task<IActionResult> OnPostAsync(string? old, string? phrase, string? again)
    {
        if (!door.HasPass && !door.MaySetFirst(HttpContext))
        {
            return Redirect(DoorMiddleware.SignIn);
        }

        var first = !door.HasPass;
        // What is wrong with the new one is said before the old one is tried, which counts.
        Problem = PassFile.Problem(phrase) ?? (phrase == again ? null : "The two are not the same.");
        if (Problem is null && !first)
        {
            Problem = await door.TryAsync(HttpContext, old);
        }

        if (Problem is not null)
        {
            return Page();
        }

        try
        {
            if (first)
            {
                pass.SetFirst(phrase!);
            }
            else
            {
                pass.Set(phrase!);
            }
        }
        catch (Refused refused)
        {
            Problem = refused.Message;
            return Page();
        }

        await door.SignInAsync(HttpContext);
        return Redirect("/Lab");
    }
}
