using Yuntak.Core.Labs;

namespace Yuntak.Core.Kit;

/// <summary>Whether a host has a second leg for a router: a port for each side, tagged networks on one port, or a private bridge for trying things.</summary>
internal static class RouterLegs
{
    private const int Needed = 2;

    /// <summary>
    /// Whether there is a second leg of any sort: bridges that were read, and planned ones that are private or VLAN-aware. Where tagged networks cannot be seen from the host, somebody has ticked the line about
    /// network ports. Null while nobody knows the ports.
    /// </summary>
    public static bool? HasSecond(Host host) =>
        host.NetworkPorts >= Needed
        || host.Hardware.Bridges.Count >= Needed
        || host.Hardware.Bridges.Any(b => b.Ports.Count == 0)
        || host.Wires.Bridges.Any(b => b.Port is null || b.Aware)
        || host.Checks.Any(c => c.Item == Readiness.NetworkPorts)
            ? true
        : host.NetworkPorts is null ? null
        : false;
}
