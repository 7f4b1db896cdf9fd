using System.Security.Cryptography.X509Certificates;
using Microsoft.AspNetCore.Server.Kestrel.Core;

namespace Yuntak.Web.Starting;

/// <summary>Where the server listens, and what it lets itself be kept busy with.</summary>
internal static class Listening
{
    private static readonly TimeSpan HeadersWithin = TimeSpan.FromSeconds(10);

    // Until the first request and between two: a browser opens another connection when it needs one.
    private static readonly TimeSpan IdleAtMost = TimeSpan.FromSeconds(30);
    private static readonly TimeSpan SlowFor = TimeSpan.FromSeconds(5);

    /// <summary>The slowest that a body may come in, in bytes a second: a poor wireless link carries many times that.</summary>
    private const double SlowestBody = 2_048;

    public static void Add(IWebHostBuilder host, StartOptions options, X509Certificate2? certificate)
    {
        host.UseKestrelCore();
        if (certificate is not null)
        {
            host.UseKestrelHttpsConfiguration();
        }

        var counted = new ConnectionLimits();
        host.ConfigureKestrel(k =>
        {
            k.Limits.MaxRequestBodySize = YuntakApp.LongestRequest;
            k.Limits.MaxConcurrentConnections = ConnectionLimits.Most;
            k.Limits.RequestHeadersTimeout = HeadersWithin;
            k.Limits.KeepAliveTimeout = IdleAtMost;
            k.Limits.MinRequestBodyDataRate = new MinDataRate(SlowestBody, SlowFor);
            k.AddServerHeader = false;
            foreach (var address in options.Addresses)
            {
                void Secured(ListenOptions listen)
                {
                    listen.Use(counted.Counted);
                    if (address.Secure && certificate is not null)
                    {
                        listen.UseHttps(certificate);
                    }
                }

                if (address.Ip is { } ip)
                {
                    k.Listen(ip, address.Port, Secured);
                }
                else
                {
                    k.ListenAnyIP(address.Port, Secured);
                }
            }
        });
    }
}
