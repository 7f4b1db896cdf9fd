using System.Diagnostics;
using System.Globalization;
using Microsoft.Net.Http.Headers;
using Yuntak.Core.Base;
using Yuntak.Web.Door;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Shared;

/// <summary>Sends the safety headers, times every answer, and turns what goes wrong into a plain page.</summary>
public sealed class SafetyMiddleware(RequestDelegate next, ILogger<SafetyMiddleware> log)
{
    public async Task InvokeAsync(HttpContext context)
    {
        var watch = Stopwatch.StartNew();
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy = PlainPage.Policy;
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "same-origin";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        headers["Cross-Origin-Resource-Policy"] = "same-origin";
        context.Response.OnStarting(() =>
        {
            headers["Server-Timing"] = string.Create(CultureInfo.InvariantCulture, $"app;dur={watch.Elapsed.TotalMilliseconds:0.0}");
            // What is shown is the household's own; static files say otherwise for themselves.
            if (headers.CacheControl.Count == 0)
            {
                headers.CacheControl = "no-store";
            }

            return Task.CompletedTask;
        });
        if (HttpMethods.IsTrace(context.Request.Method) || HttpMethods.IsConnect(context.Request.Method))
        {
            await PlainPage.WriteAsync(
                context,
                StatusCodes.Status405MethodNotAllowed,
                "Yuntak does not do that",
                "Pages are read and forms are sent here, nothing else."
            );
            return;
        }

        if (!TextOf(context.Request.ContentType))
        {
            await PlainPage.WriteAsync(
                context,
                StatusCodes.Status415UnsupportedMediaType,
                "That could not be read",
                "Text comes in UTF-8 here. Nothing was changed."
            );
            return;
        }

        if (context.Request.ContentLength > YuntakApp.LongestRequest)
        {
            await PlainPage.WriteAsync(
                context,
                StatusCodes.Status413PayloadTooLarge,
                "That is too large",
                "Nothing over 64 MiB is taken in. Nothing was changed."
            );
            return;
        }

        if (HttpMethods.IsGet(context.Request.Method) || HttpMethods.IsHead(context.Request.Method))
        {
            // A page nobody waits for is not worked out to its end. What was sent is done all the same: closing a window right after a press loses nothing.
            Patience.Until(context.RequestAborted);
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

            if (e is BadHttpRequestException bad)
            {
                await PlainPage.WriteAsync(
                    context,
                    bad.StatusCode,
                    bad.StatusCode == StatusCodes.Status413PayloadTooLarge ? "That is too large" : "That could not be read",
                    "What was sent did not arrive whole, was too long or came too slowly. Nothing was changed."
                );
                return;
            }

            if (e is Refused refused)
            {
                // What no page caught is still a refusal in words, not a fault.
                await PlainPage.WriteAsync(context, StatusCodes.Status400BadRequest, "That could not be done", refused.Message);
                return;
            }

            log.LogError(e, "{Method} {Path} failed", context.Request.Method, context.Request.Path);
            await PlainPage.WriteAsync(
                context,
                Trouble.IsFull(e) ? StatusCodes.Status507InsufficientStorage : StatusCodes.Status500InternalServerError,
                "That did not work",
                Trouble.Words(e)
                    ?? "Something went wrong in Yuntak itself. What was saved before is still there; this last step was not done."
            );
        }
    }

    /// <summary>Whether a body is in an encoding that is read here, as far as it says.</summary>
    private static bool TextOf(string? contentType) =>
        !MediaTypeHeaderValue.TryParse(contentType, out var type)
        || !type.Charset.HasValue
        || type.Charset.ToString().Trim('"').ToUpperInvariant() is "UTF-8" or "US-ASCII" or "";
}
