using System.Diagnostics;
using System.Globalization;
using Yuntak.Core.Base;

namespace Yuntak.Web.Shared;

/// <summary>Sends the safety headers, times every answer, and turns what goes wrong into a plain page.</summary>
public sealed class SafetyMiddleware(RequestDelegate next, ILogger<SafetyMiddleware> log)
{
    private const string Policy =
        "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self' data:; connect-src 'self'; "
        + "form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    public async Task InvokeAsync(HttpContext context)
    {
        var watch = Stopwatch.StartNew();
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy = Policy;
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "same-origin";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        context.Response.OnStarting(() =>
        {
            headers["Server-Timing"] = string.Create(CultureInfo.InvariantCulture, $"app;dur={watch.Elapsed.TotalMilliseconds:0.0}");
            return Task.CompletedTask;
        });
        if (context.Request.ContentLength > YuntakApp.LongestRequest)
        {
            await TroubleAsync(
                context,
                StatusCodes.Status413PayloadTooLarge,
                "That is too large",
                "Nothing over 64 MiB is taken in. Nothing was changed."
            );
            return;
        }

        try
        {
            await next(context);
        }
        catch (Exception e) when (!context.Response.HasStarted)
        {
            if (e is OperationCanceledException && context.RequestAborted.IsCancellationRequested)
            {
                return;
            }

            if (e is Refused refused)
            {
                // What no page caught is still a refusal in words, not a fault.
                await TroubleAsync(context, StatusCodes.Status400BadRequest, "That could not be done", refused.Message);
                return;
            }

            log.LogError(e, "{Method} {Path} failed", context.Request.Method, context.Request.Path);
            var said =
                e is NotSupportedException
                    ? e.Message
                    : "Something went wrong in Yuntak itself. What was saved before is still there; this last step was not done.";
            await TroubleAsync(context, StatusCodes.Status500InternalServerError, "That did not work", said);
        }
    }

    /// <summary>A page that needs nothing else to work.</summary>
    private static async Task TroubleAsync(HttpContext context, int status, string title, string text)
    {
        context.Response.Clear();
        context.Response.StatusCode = status;
        context.Response.ContentType = "text/html; charset=utf-8";
        context.Response.Headers.ContentSecurityPolicy = Policy;
        var encode = System.Text.Encodings.Web.HtmlEncoder.Default;
        await context.Response.WriteAsync(
            $"<!doctype html><html lang=en><meta charset=utf-8><title>{encode.Encode(title)}</title><link rel=stylesheet href=/css/yuntak.css>"
                + $"<body class=plain><main><h1>{encode.Encode(title)}</h1><p>{encode.Encode(text)}</p><p><a href=/>Back to the bench</a></p></main></body></html>"
        );
    }
}
