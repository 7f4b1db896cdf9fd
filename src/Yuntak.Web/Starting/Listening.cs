using System.Security.Cryptography.X509Certificates;
using Microsoft.AspNetCore.Server.Kestrel.Core;

namespace Yuntak.Web.Starting;

/// <summary>Where the server listens, and what it lets itself be kept busy with.</summary>
internal static class Listening
{
    public static void Add(IWebHostBuilder host, StartOptions options, X509Certificate2? certificate)
    {
        host.UseKestrelCore();
        if (certificate is not null)
        {
            host.UseKestrelHttpsConfiguration();
        }

        host.ConfigureKestrel(k =>
        {
            k.Limits.MaxRequestBodySize = YuntakApp.LongestRequest;
            k.AddServerHeader = false;
            foreach (var address in options.Addresses)
            {
                void Secured(ListenOptions listen)
                {
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
