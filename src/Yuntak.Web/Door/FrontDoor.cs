using System.Net;
using System.Security.Claims;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Door;

/// <summary>Who may come in. Only this machine reaches Yuntak and no phrase is set: everybody. Else: whoever knows the phrase.</summary>
/// <param name="options">What Yuntak was started with.</param>
/// <param name="pass">The pass phrase.</param>
/// <param name="tries">Wrong ones.</param>
/// <param name="visits">Visits that are over.</param>
public sealed class FrontDoor(StartOptions options, PassFile pass, Tries tries, Visits visits)
{
    /// <summary>The scheme of the sign-in cookie.</summary>
    public const string Scheme = CookieAuthenticationDefaults.AuthenticationScheme;

    private const string StampClaim = "stamp";
    private const string VisitClaim = "visit";

    /// <summary>Whether Yuntak asks who is there.</summary>
    public bool Asks => !options.Open && (options.Wide || pass.IsSet);

    /// <summary>Whether a phrase is set.</summary>
    public bool HasPass => pass.IsSet;

    /// <summary>Whether a phrase may be set without knowing the one before: none is set, and the person sits at the machine itself.</summary>
    public bool MaySetFirst(HttpContext context) => !pass.IsSet && IsThisMachine(context);

    /// <summary>Whether a request comes from the machine itself, and not through a program that passes on what others ask.</summary>
    public static bool IsThisMachine(HttpContext context) =>
        context.Connection.RemoteIpAddress is { } from
        && (IPAddress.Loopback.Equals(from.IsIPv4MappedToIPv6 ? from.MapToIPv4() : from) || IPAddress.IPv6Loopback.Equals(from))
        && IsOwnName(context.Request.Host.Host)
        && !context.Request.Headers.Keys.Any(TellsOfAnother);

    /// <summary>Whether this is how somebody at the machine itself calls it, and not a name that a program in front of it answers to.</summary>
    public static bool IsOwnName(string host) =>
        host.TrimEnd('.').Equals("localhost", StringComparison.OrdinalIgnoreCase)
        || (IPAddress.TryParse(host.Trim('[', ']'), out var ip) && IPAddress.IsLoopback(ip));

    /// <summary>
    /// Whether a header says that somebody else asks: Forwarded (RFC 7239), Via (RFC 9110), and the many that say so without a standard, such as X-Forwarded-For,
    /// X-Real-IP, X-Client-IP and X-Original-Host.
    /// </summary>
    private static bool TellsOfAnother(string header) =>
        header.Equals("Via", StringComparison.OrdinalIgnoreCase)
        || header.Contains("Forwarded", StringComparison.OrdinalIgnoreCase)
        || header.EndsWith("-IP", StringComparison.OrdinalIgnoreCase)
        || header.EndsWith("-Addr", StringComparison.OrdinalIgnoreCase)
        || header.StartsWith("X-Original-", StringComparison.OrdinalIgnoreCase)
        || header.StartsWith("X-Proxy", StringComparison.OrdinalIgnoreCase);

    /// <summary>Whether a request comes from a browser that is signed in.</summary>
    public async Task<bool> KnowsAsync(HttpContext context) =>
        (await context.AuthenticateAsync(Scheme)).Principal is { } who
        && who.FindFirst(StampClaim)?.Value is { } stamp
        && stamp == pass.Stamp
        && who.FindFirst(VisitClaim)?.Value is { } visit
        && !visits.IsOver(visit);

    /// <summary>Whether Yuntak asks nobody and yet the request comes through a program that passes on what others ask: nobody comes in that way without a phrase.</summary>
    public bool NeedsPassFirst(HttpContext context) => !Asks && !options.Open && !IsThisMachine(context);

    /// <summary>Tries a phrase; signs the browser in when it is the right one.</summary>
    /// <returns>Nothing when it was right, else what to say. It is the same whatever was wrong.</returns>
    public async Task<string?> TryAsync(HttpContext context, string? phrase)
    {
        var from = context.Connection.RemoteIpAddress;
        if (tries.Take(from) is { } wait)
        {
            context.Response.StatusCode = StatusCodes.Status429TooManyRequests;
            var seconds = (int)Math.Ceiling(wait.TotalSeconds);
            context.Response.Headers.RetryAfter = seconds.ToString(System.Globalization.CultureInfo.InvariantCulture);
            return $"That was wrong too often. Wait {(seconds > 90 ? $"{seconds / 60 + 1} minutes" : $"{seconds} seconds")}, then try again.";
        }

        if (!pass.Opens(phrase))
        {
            context.Response.StatusCode = StatusCodes.Status403Forbidden;
            return "That did not open it.";
        }

        tries.Right(from);
        await SignInAsync(context);
        return null;
    }

    /// <summary>Signs a browser in, for thirty days from its last visit.</summary>
    public Task SignInAsync(HttpContext context) =>
        context.SignInAsync(
            Scheme,
            new ClaimsPrincipal(
                new ClaimsIdentity([new Claim(StampClaim, pass.Stamp ?? ""), new Claim(VisitClaim, Guid.NewGuid().ToString("N"))], Scheme)
            ),
            new AuthenticationProperties { IsPersistent = true }
        );

    /// <summary>Signs a browser out. What carries a copy of its cookie is signed out too.</summary>
    public async Task SignOutAsync(HttpContext context)
    {
        if ((await context.AuthenticateAsync(Scheme)).Principal?.FindFirst(VisitClaim)?.Value is { } visit)
        {
            visits.End(visit);
        }

        await context.SignOutAsync(Scheme);
    }
}
