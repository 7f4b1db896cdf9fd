using Microsoft.AspNetCore.Http.Features;

namespace Yuntak.Web.Door;

/// <summary>Lets in whom the front door knows, and leads everybody else to it.</summary>
public sealed class DoorMiddleware(RequestDelegate next, FrontDoor door, ILogger<DoorMiddleware> log)
{
    /// <summary>The most bytes read of who is not known yet: a phrase, typed three times at most, and what a form carries beside it.</summary>
    public const int MostOfStrangers = 8 << 10;

    private bool warned;

    /// <summary>Where one signs in.</summary>
    public const string SignIn = "/SignIn";

    /// <summary>Where a pass phrase is set.</summary>
    public const string Pass = "/Pass";

    public async Task InvokeAsync(HttpContext context)
    {
        var path = context.Request.Path;
        if (door.NeedsPassFirst(context))
        {
            if (!Interlocked.Exchange(ref warned, true))
            {
                log.LogWarning(
                    "A request by the name {Host} came through another program, and no pass phrase is set; it was refused. Set one before a reverse proxy leads here:  ./yuntak pass",
                    Core.Base.Names.Short(Core.Base.Names.Clean(context.Request.Host.Host))
                );
            }

            await PlainPage.WriteAsync(
                context,
                StatusCodes.Status403Forbidden,
                "Set a pass phrase first",
                "This request came through a reverse proxy or by another name than this machine's own, and no pass phrase is set. Set one at the machine: ./yuntak pass. Then load the page again."
            );
            return;
        }

        var knows = !door.Asks || await door.KnowsAsync(context);
        if (!knows && await RefusesAsync(context))
        {
            return;
        }

        if (knows || IsOutside(path))
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

    /// <summary>Reads no more of a stranger than a form of some lines, and says so before anything of it is read.</summary>
    /// <returns>Whether it was answered.</returns>
    private static async Task<bool> RefusesAsync(HttpContext context)
    {
        if (context.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } body)
        {
            body.MaxRequestBodySize = MostOfStrangers;
        }

        if (context.Request.ContentLength > MostOfStrangers)
        {
            await PlainPage.WriteAsync(
                context,
                StatusCodes.Status413PayloadTooLarge,
                "That is too large",
                "Who is not signed in sends a pass phrase and nothing more. Nothing was changed."
            );
            return true;
        }

        if (context.Request.HasFormContentType && context.Request.ContentType!.StartsWith("multipart/", StringComparison.OrdinalIgnoreCase))
        {
            await PlainPage.WriteAsync(
                context,
                StatusCodes.Status415UnsupportedMediaType,
                "That could not be read",
                "Who is not signed in sends no files. Nothing was changed."
            );
            return true;
        }

        return false;
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
