using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>Ports a published list names: the service name and port number registry of IANA.</summary>
public static class WellKnown
{
    /// <summary>Names are asked for here.</summary>
    public const int Names = 53;

    /// <summary>Addresses are handed out here.</summary>
    public const int HandingOut = 67;

    private static readonly Dictionary<int, string> Called = new()
    {
        [22] = "secure shell",
        [25] = "mail",
        [53] = "names",
        [67] = "handing out addresses",
        [68] = "asking for an address",
        [69] = "boot files",
        [80] = "web, in the clear",
        [123] = "time",
        [443] = "web, encrypted",
        [445] = "shares by account",
        [853] = "names, encrypted",
        [1883] = "messages, in the clear",
        [2049] = "shares by address",
        [5432] = "database",
        [8883] = "messages, encrypted",
    };

    private static readonly HashSet<int> Safe = [22, 443, 465, 563, 636, 853, 989, 990, 992, 993, 995, 5061, 5349, 8443, 8883];

    /// <summary>What a port is for; null where the list names nothing that matters here.</summary>
    public static string? Words(int port) => Called.GetValueOrDefault(port);

    /// <summary>Whether what is said on a port is encrypted by what the port is for.</summary>
    public static bool IsEncrypted(int port, WireProtocol protocol) =>
        (protocol == WireProtocol.Tcp && Safe.Contains(port)) || (protocol == WireProtocol.Udp && port is 443 or 853);

    /// <summary>Whether the list keeps a port for something, so that nothing else is put there.</summary>
    public static bool IsKept(int port) => port < 1024 || Called.ContainsKey(port) || Safe.Contains(port);
}
