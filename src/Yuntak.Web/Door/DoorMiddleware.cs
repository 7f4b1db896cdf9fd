namespace Yuntak.Web.Door;

/// <summary>Lets in whom the front door knows, and leads everybody else to it.</summary>
public sealed class DoorMiddleware(RequestDelegate next, FrontDoor door)
{
    /// <summary>Where one signs in.</summary>
    public const string SignIn = "/SignIn";

    /// <summary>Where a pass phrase is set.</summary>
    public const string Pass = "/Pass";

    public async Task InvokeAsync(HttpContext context)
    {
        var path = context.Request.Path;
        if (!door.Asks || IsOutside(path) || await door.KnowsAsync(context))
        {
            await next(context);
        }
        else if (!door.HasPass && FrontDoor.IsThisMachine(context))
        {
            if (path.StartsWithSegments(Pass, StringComparison.OrdinalIgnoreCase))
            {
                await next(context);
            }
            else
            {
                context.Response.Redirect(Pass);
            }
        }
        else if (HttpMethods.IsGet(context.Request.Method) && !IsFile(path))
        {
            context.Response.Redirect(SignIn + QueryString.Create("then", path + context.Request.QueryString));
        }
        else
        {
            context.Response.StatusCode = StatusCodes.Status401Unauthorized;
        }
    }

    /// <summary>The page to sign in at, and the one that says what cannot be shown: neither shows anything of the lab.</summary>
    private static bool IsOutside(PathString path) =>
        path.StartsWithSegments(SignIn, StringComparison.OrdinalIgnoreCase)
        || path.StartsWithSegments("/Trouble", StringComparison.OrdinalIgnoreCase);

    /// <summary>What a program asks for, which has no use for a page to sign in.</summary>
    private static bool IsFile(PathString path) =>
        path.StartsWithSegments("/files", StringComparison.OrdinalIgnoreCase)
        || path.StartsWithSegments("/bench/preview", StringComparison.OrdinalIgnoreCase);
}
