using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>A port that something answers on.</summary>
/// <param name="Stack">Whose network addresses it is at: a host, or a guest with a network of its own.</param>
/// <param name="Who">Who answers.</param>
/// <param name="Port">The port.</param>
/// <param name="Protocol">What it is a port of.</param>
/// <param name="Address">The one address; «*» for all of the stack's.</param>
/// <param name="Listen">What was said of it; null where it was only read, or follows from a profile.</param>
/// <param name="WasRead">Whether it was read of a host.</param>
public sealed record HeardPort(
    Holder Stack,
    Holder Who,
    int Port,
    WireProtocol Protocol,
    string Address,
    Listen? Listen,
    bool WasRead = false
)
{
    /// <summary>Whether what is said there is encrypted: as said, else by what the port is for (IANA), else not.</summary>
    public bool Encrypted => Listen?.Encrypted ?? WellKnown.IsEncrypted(Port, Protocol);

    /// <summary>Whether it asks who is there, as far as somebody said.</summary>
    public bool? Login => Listen?.Login;

    /// <summary>Whether it is a page for looking after the thing itself.</summary>
    public bool Page => Listen?.Page ?? false;

    /// <summary>Whether it is reached from its own machine only: loopback (RFC 1122, RFC 4291).</summary>
    public bool OnlyHere => Address.StartsWith("127.", StringComparison.Ordinal) || Address == "::1";
}
