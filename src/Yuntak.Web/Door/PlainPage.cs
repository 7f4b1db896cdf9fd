using System.Text.Encodings.Web;

namespace Yuntak.Web.Door;

/// <summary>A page that needs nothing else to work: for what cannot be answered with a real one.</summary>
internal static class PlainPage
{
    /// <summary>What pages may load: their own files and nothing else.</summary>
    public const string Policy =
        "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self' data:; connect-src 'self'; "
        + "form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    /// <summary>Writes it.</summary>
    public static async Task WriteAsync(HttpContext context, int status, string title, string text)
    {
        context.Response.Clear();
        context.Response.StatusCode = status;
        context.Response.ContentType = "text/html; charset=utf-8";
        context.Response.Headers.ContentSecurityPolicy = Policy;
        context.Response.Headers.CacheControl = "no-store";
        var encode = HtmlEncoder.Default;
        await context.Response.WriteAsync(
            $"<!doctype html><html lang=en><meta charset=utf-8><meta name=viewport content=\"width=device-width\"><title>{encode.Encode(title)}</title><link rel=stylesheet href=/css/yuntak.css>"
                + $"<body class=plain><main><h1>{encode.Encode(title)}</h1><p>{encode.Encode(text)}</p><p><a href=/>Back to the bench</a></p></main></body></html>"
        );
    }
}
