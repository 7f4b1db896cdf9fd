using System.Net;
using Yuntak.Core.Base;

namespace Yuntak.Web.Starting;

/// <summary>One address to listen at.</summary>
/// <param name="Ip">The address; null for every address of this machine.</param>
/// <param name="Port">The port; 0 for any that is free.</param>
/// <param name="Secure">Whether pages come over TLS here.</param>
public sealed record ListenAddress(IPAddress? Ip, int Port, bool Secure)
{
    /// <summary>Whether only this machine reaches it: 127.0.0.1 and ::1. Any other address of 127.0.0.0/8 counts as one that others reach, which lets a test stand for them.</summary>
    public bool ThisMachineOnly => IPAddress.Loopback.Equals(Ip) || IPAddress.IPv6Loopback.Equals(Ip);

    /// <summary>Reads addresses with semicolons or commas between.</summary>
    /// <param name="text">Such as <c>http://127.0.0.1:5480</c>; <c>*</c> in the place of the address is every address of this machine.</param>
    /// <param name="tls">Whether there is a certificate. Where only plain addresses are given, each gets a secure one, one port up.</param>
    /// <exception cref="Refused">It is none.</exception>
    public static IReadOnlyList<ListenAddress> ReadAll(string text, bool tls)
    {
        var plain = text.Split([';', ','], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries).Select(Read).ToList();
        if (plain.Count == 0)
        {
            throw Wrong(text);
        }

        if (!tls && plain.Any(a => a.Secure))
        {
            throw new Refused("An https address needs a certificate: add --tls for one of Yuntak's own, or --certificate FILE.");
        }

        return tls && !plain.Any(a => a.Secure)
            ? [.. plain.SelectMany(a => new[] { a, a with { Port = a.Port == 0 ? 0 : a.Port + 1, Secure = true } })]
            : plain;
    }

    private static ListenAddress Read(string text)
    {
        var cut = text.IndexOf("://", StringComparison.Ordinal);
        if (cut < 0 || text[..cut] is not ("http" or "https"))
        {
            throw Wrong(text);
        }

        var secure = cut == 5;
        var rest = text[(cut + 3)..].TrimEnd('/');
        var colon = rest.LastIndexOf(':');
        var hasPort = colon > rest.LastIndexOf(']');
        var host = (hasPort ? rest[..colon] : rest).Trim('[', ']');
        var port = secure ? 443 : 80;
        if (
            hasPort
            && !(
                int.TryParse(
                    rest[(colon + 1)..],
                    System.Globalization.NumberStyles.None,
                    System.Globalization.CultureInfo.InvariantCulture,
                    out port
                )
                && port < 65_535
            )
        )
        {
            throw Wrong(text);
        }

        return host switch
        {
            "*" or "+" => new ListenAddress(null, port, secure),
            "localhost" => new ListenAddress(IPAddress.Loopback, port, secure),
            _ when IPAddress.TryParse(host, out var ip)
                    && (host.Contains('.', StringComparison.Ordinal) || host.Contains(':', StringComparison.Ordinal)) => new ListenAddress(
                ip,
                port,
                secure
            ),
            _ => throw Wrong(text),
        };
    }

    private static Refused Wrong(string text) =>
        new(
            $"--urls names where to listen, such as {StartOptions.DefaultUrl} or http://*:5480 for every address of this machine, not «{Names.Short(Names.Clean(text))}»."
        );
}
