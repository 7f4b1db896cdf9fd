namespace Yuntak.Web.Door;

/// <summary>Files are given only to Yuntak's own pages and to who asks for them directly, never because a page of another site says so (Fetch Metadata, W3C).</summary>
public sealed class CrossSiteMiddleware(RequestDelegate next)
{
    public Task InvokeAsync(HttpContext context) =>
        context.Request.Headers["Sec-Fetch-Site"].ToString() is "cross-site" or "same-site"
        && (
            context.Request.Path.StartsWithSegments("/files", StringComparison.OrdinalIgnoreCase)
            || !(HttpMethods.IsGet(context.Request.Method) || HttpMethods.IsHead(context.Request.Method))
        )
            ? PlainPage.WriteAsync(
                context,
                StatusCodes.Status403Forbidden,
                "That came from another site",
                "A page of another site asked for this. Open Yuntak itself and ask there. Nothing was changed."
            )
            : next(context);
}
