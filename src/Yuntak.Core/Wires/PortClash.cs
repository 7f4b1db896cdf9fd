using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>Several that want one port at one address: only the first to start gets it.</summary>
/// <param name="Stack">Whose addresses they are.</param>
/// <param name="Address">The address; «*» where all are meant.</param>
/// <param name="Protocol">What the port is a port of.</param>
/// <param name="Port">The port.</param>
/// <param name="Who">Who wants it.</param>
public sealed record PortClash(Holder Stack, string Address, WireProtocol Protocol, int Port, IReadOnlyList<HeardPort> Who);
