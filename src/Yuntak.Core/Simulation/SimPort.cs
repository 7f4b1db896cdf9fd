using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Simulation;

/// <summary>A port that a guest takes while it runs.</summary>
/// <param name="Stack">Whose network addresses it is at: the id of a host, or of a guest with a network of its own.</param>
/// <param name="Protocol">What it is a port of.</param>
/// <param name="Port">The port.</param>
/// <param name="Address">The one address; «*» for all of the stack's.</param>
internal sealed record SimPort(string Stack, WireProtocol Protocol, int Port, string Address)
{
    /// <summary>The ports of a guest in a lab.</summary>
    public static IEnumerable<SimPort> Of(HouseWires wires, GuestId id) =>
        wires.PortsOfGuest(id).Select(p => new SimPort($"{p.Stack.Kind} {p.Stack.Id}", p.Protocol, p.Port, PortClashes.Plain(p.Address)));

    /// <summary>Whether only one of two can be had at once.</summary>
    public bool Clashes(SimPort other) =>
        Stack == other.Stack && Protocol == other.Protocol && Port == other.Port && PortClashes.Meet(Address, other.Address);

    /// <summary>As a system says it.</summary>
    public override string ToString() => $"{Port}/{(Protocol == WireProtocol.Udp ? "udp" : "tcp")}";
}
