namespace Yuntak.Core.Labs;

/// <summary>An address and port that something listened on when the host was read.</summary>
/// <param name="Protocol">«tcp» or «udp».</param>
/// <param name="Address">The address; «*» for any.</param>
/// <param name="Port">The port.</param>
public sealed record Listener(string Protocol, string Address, int Port)
{
    /// <summary>Whether it is reached from this host only: loopback (RFC 1122, RFC 4291).</summary>
    public bool OnlyHere => Address.StartsWith("127.", StringComparison.Ordinal) || Address is "[::1]" or "::1";
}
