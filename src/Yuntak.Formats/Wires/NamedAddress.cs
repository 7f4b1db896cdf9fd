using System.Net;

namespace Yuntak.Formats.Wires;

/// <summary>A name on the network with the address it stands for.</summary>
/// <param name="Name">The name, one part of letters, digits and hyphens.</param>
/// <param name="FullName">The name with its zone.</param>
/// <param name="Address">The address.</param>
internal sealed record NamedAddress(string Name, string FullName, IPAddress Address);
