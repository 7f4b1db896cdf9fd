using Yuntak.Core.Addresses;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>A bridge of a host, planned or read.</summary>
/// <param name="Host">The host.</param>
/// <param name="Name">What the kernel calls it.</param>
/// <param name="Port">The port in it; null for none.</param>
/// <param name="Aware">Whether it keeps tagged networks apart; null where nobody said.</param>
/// <param name="Networks">The networks it carries, as far as is known.</param>
/// <param name="Mtu">Its largest packet in bytes.</param>
/// <param name="Planned">Whether it is planned; else it was read.</param>
public sealed record HostBridge(Host Host, string Name, string? Port, bool? Aware, IReadOnlyList<Network> Networks, int Mtu, bool Planned)
{
    /// <summary>The bridges of a host: those planned, and those read that no plan names.</summary>
    internal static IReadOnlyList<HostBridge> Of(Lab lab, Host host) =>
        [
            .. host.Wires.Bridges.Select(b => new HostBridge(
                host,
                b.Name,
                b.Port,
                b.Aware,
                [.. b.Networks.Select(lab.Network).OfType<Network>()],
                b.Mtu ?? Network.UsualMtu,
                Planned: true
            )),
            .. host
                .Hardware.Bridges.Where(r => host.Wires.Bridges.All(b => b.Name != r.Name))
                .Select(r => new HostBridge(
                    host,
                    r.Name,
                    r.Ports.Count > 0 ? r.Ports[0] : null,
                    null,
                    [.. lab.Networks.Where(n => r.Addresses.Any(a => In(n, a)))],
                    Network.UsualMtu,
                    Planned: false
                )),
        ];

    internal static bool In(Network network, string addressWithLength) =>
        Prefix.Read(network.Prefix) is { } prefix
        && IpText.TryRead(addressWithLength.Split('/')[0], out var address)
        && prefix.Contains(address);
}
