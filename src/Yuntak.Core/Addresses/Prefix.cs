using System.Net;
using System.Net.Sockets;

namespace Yuntak.Core.Addresses;

/// <summary>The addresses of a network (RFC 4632, RFC 4291). The arithmetic is the library's.</summary>
public sealed class Prefix
{
    private readonly IPNetwork2 network;

    private Prefix(IPNetwork2 network)
    {
        this.network = network;
        (First, Last) = (IpText.Number(network.Network), IpText.Number(LastOf(network)));
    }

    /// <summary>The family of its addresses.</summary>
    public AddressFamily Family => network.AddressFamily;

    /// <summary>The number of bits that all its addresses share.</summary>
    public int Length => network.Cidr;

    /// <summary>The first address as a number: the network itself.</summary>
    public UInt128 First { get; }

    /// <summary>The last address as a number: of IPv4 the broadcast address, except in prefixes of 31 and 32 bits (RFC 3021).</summary>
    public UInt128 Last { get; }

    /// <summary>The first address a host may have: of IPv6 the one behind the routers' own (RFC 4291, 2.6.1).</summary>
    public UInt128 FirstHost =>
        Family == AddressFamily.InterNetworkV6 ? (Length >= 127 ? First : First + 1) : IpText.Number(network.FirstUsable);

    /// <summary>The last address a host may have.</summary>
    public UInt128 LastHost => Family == AddressFamily.InterNetworkV6 ? Last : IpText.Number(network.LastUsable);

    /// <summary>How many hosts have room in it.</summary>
    public UInt128 Hosts => LastHost - FirstHost + 1;

    /// <summary>The broadcast address of an IPv4 prefix; null where there is none.</summary>
    public IPAddress? Broadcast => Family == AddressFamily.InterNetwork && Length < 31 ? network.Broadcast : null;

    /// <summary>The network's own address.</summary>
    public IPAddress Network => network.Network;

    /// <summary>Whether its addresses are private: RFC 1918, RFC 4193, or shared by a provider's customers (RFC 6598).</summary>
    public bool IsPrivate => Privates.Any(p => p.Contains(network));

    /// <summary>Reads «10.40.7.0/24». Bits behind the length must be 0.</summary>
    public static bool TryRead(string? text, out Prefix prefix)
    {
        prefix = null!;
        if (Loose(text) is not { } parsed || !IpText.TryRead(text!.Trim().Split('/')[0], out var written))
        {
            return false;
        }

        prefix = new Prefix(parsed);
        return written.Equals(parsed.Network);
    }

    /// <summary>The prefix a text says; null when it says none.</summary>
    public static Prefix? Read(string? text) => TryRead(text, out var prefix) ? prefix : null;

    /// <summary>The prefix that an address with a length, as «10.40.7.11/24», lies in; null when it is none.</summary>
    public static Prefix? Around(string? text) => Loose(text) is { } parsed ? new Prefix(parsed) : null;

    /// <summary>Whether an address lies in it.</summary>
    public bool Contains(IPAddress address) =>
        address.AddressFamily == Family && IpText.Number(address) is var number && number >= First && number <= Last;

    /// <summary>Whether the two share an address.</summary>
    public bool Overlaps(Prefix other) => Family == other.Family && First <= other.Last && other.First <= Last;

    /// <summary>Whether an address may be a host's in it: neither the network nor the broadcast address.</summary>
    public bool MayBeHost(IPAddress address) => Contains(address) && IpText.Number(address) is var n && n >= FirstHost && n <= LastHost;

    /// <inheritdoc/>
    public override string ToString() => network.ToString();

    private static readonly IPNetwork2[] Privates =
    [
        .. new[] { "10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16", "100.64.0.0/10", "fc00::/7" }.Select(IPNetwork2.Parse),
    ];

    /// <summary>Whether an address is of a private range.</summary>
    public static bool IsPrivateAddress(IPAddress address) => Privates.Any(p => p.Contains(address));

    private static IPAddress LastOf(IPNetwork2 network) =>
        network.AddressFamily == AddressFamily.InterNetwork ? network.Broadcast ?? network.Network : network.LastUsable;

    private static IPNetwork2? Loose(string? text)
    {
        var parts = (text ?? "").Trim().Split('/');
        return
            parts.Length == 2
            && IpText.TryRead(parts[0], out var address)
            && parts[1].Length is > 0 and < 4
            && parts[1].All(char.IsAsciiDigit)
            && byte.TryParse(parts[1], out var length)
            && length <= (address.AddressFamily == AddressFamily.InterNetwork ? 32 : 128)
            && IPNetwork2.TryParse($"{address}/{length}", out var parsed)
            && parsed is not null
            ? parsed
            : null;
    }
}
