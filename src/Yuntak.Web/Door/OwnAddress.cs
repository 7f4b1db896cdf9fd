using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Door;

/// <summary>Where Yuntak can be reached once it listens: what a phone is told.</summary>
/// <param name="server">The server.</param>
/// <param name="options">What Yuntak was started with.</param>
public sealed class OwnAddress(IServer server, StartOptions options)
{
    /// <summary>The port pages come over TLS at.</summary>
    public int SecurePort => Listening.FirstOrDefault(u => u.Scheme == Uri.UriSchemeHttps)?.Port ?? 443;

    /// <summary>A short address that other machines in the house can use; null when only this machine reaches Yuntak.</summary>
    public string? ForTheHouse
    {
        get
        {
            if (!options.Wide)
            {
                return null;
            }

            var scheme = options.Tls ? Uri.UriSchemeHttps : Uri.UriSchemeHttp;
            var named = options.Addresses.FirstOrDefault(a =>
                !a.ThisMachineOnly && a.Ip is { } ip && !IPAddress.Any.Equals(ip) && !IPAddress.IPv6Any.Equals(ip)
            );
            var ip = named?.Ip ?? InTheHouse();
            var port = Listening.FirstOrDefault(u => u.Scheme == scheme)?.Port;
            return ip is null || port is null ? null : new UriBuilder(scheme, ip.ToString(), port.Value).Uri.ToString();
        }
    }

    private IEnumerable<Uri> Listening =>
        (server.Features.Get<IServerAddressesFeature>()?.Addresses ?? [])
            .Select(a => Uri.TryCreate(a.Replace("*", "localhost", StringComparison.Ordinal), UriKind.Absolute, out var uri) ? uri : null)
            .OfType<Uri>();

    /// <summary>This machine's address in the house: the first of version 4 on a port that is up and has a way out, else the first at all.</summary>
    private static IPAddress? InTheHouse() =>
        NetworkInterface
            .GetAllNetworkInterfaces()
            .Where(n => n.OperationalStatus == OperationalStatus.Up && n.NetworkInterfaceType != NetworkInterfaceType.Loopback)
            .Select(n => n.GetIPProperties())
            .OrderByDescending(p => p.GatewayAddresses.Count)
            .SelectMany(p => p.UnicastAddresses)
            .Select(a => a.Address)
            .FirstOrDefault(a => a.AddressFamily == AddressFamily.InterNetwork && !IPAddress.IsLoopback(a));
}
