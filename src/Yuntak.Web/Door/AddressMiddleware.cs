using Yuntak.Core.Base;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Door;

/// <summary>Answers only by names Yuntak knows, and over TLS only when it has a certificate.</summary>
public sealed class AddressMiddleware(RequestDelegate next, HostNames names, StartOptions options, OwnAddress own)
{
    public async Task InvokeAsync(HttpContext context)
    {
        var host = context.Request.Host;
        if (!host.HasValue || !names.Allows(host.Host))
        {
            await PlainPage.WriteAsync(
                context,
                StatusCodes.Status421MisdirectedRequest,
                "Yuntak does not go by that name",
                $"«{Names.Short(Names.Clean(host.Host))}» is not one of the names it may be reached by. If it is one of yours, start Yuntak with --hosts and the name."
            );
            return;
        }

        if (options.Tls && !context.Request.IsHttps)
        {
            context.Response.StatusCode = StatusCodes.Status308PermanentRedirect;
            context.Response.Headers.Location =
                $"https://{host.Host}:{own.SecurePort}{context.Request.PathBase}{context.Request.Path}{context.Request.QueryString}";
            return;
        }

        if (options.Tls)
        {
            // RFC 6797: a browser that found the certificate good asks for this name over TLS only, for half a year.
            context.Response.Headers.StrictTransportSecurity = "max-age=15552000";
        }

        await next(context);
    }
}
