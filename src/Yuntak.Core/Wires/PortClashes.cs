using Yuntak.Core.Addresses;

namespace Yuntak.Core.Wires;

/// <summary>
/// Who wants the same port. A wildcard is every address of that machine: «*» and «::» of both families, since a socket at :: takes IPv4 too unless told otherwise
/// (RFC 3493, 5.3), «0.0.0.0» of IPv4. An IPv4 address in an IPv6 one (RFC 4291, 2.5.5.2) is that IPv4 address.
/// </summary>
internal static class PortClashes
{
    /// <summary>All clashes.</summary>
    public static IReadOnlyList<PortClash> Among(IEnumerable<HeardPort> ports) =>
        [.. ports.GroupBy(p => (p.Stack, p.Protocol, p.Port)).Where(g => g.Skip(1).Any()).SelectMany(g => Of([.. g]))];

    /// <summary>One address as it is compared: without brackets and scope, an embedded IPv4 address as such; «*» for both families.</summary>
    public static string Plain(string address)
    {
        var bare = address.Trim('[', ']').Split('%')[0];
        if (bare is "*" or "::" or "")
        {
            return "*";
        }

        return IpText.TryRead(bare, out var ip) ? (ip.IsIPv4MappedToIPv6 ? ip.MapToIPv4() : ip).ToString() : bare;
    }

    /// <summary>Whether two addresses have one in common.</summary>
    public static bool Meet(string a, string b) =>
        a == b
        || a == "*"
        || b == "*"
        || (a == "0.0.0.0" && !b.Contains(':', StringComparison.Ordinal))
        || (b == "0.0.0.0" && !a.Contains(':', StringComparison.Ordinal));

    private static IEnumerable<PortClash> Of(List<HeardPort> ports)
    {
        var plain = ports.ConvertAll(p => (Port: p, Address: Plain(p.Address)));
        HashSet<(HeardPort, HeardPort)> told = [];
        // The most particular addresses first: where two meet at one, that is where they clash.
        foreach (
            var address in plain
                .Select(p => p.Address)
                .Distinct(StringComparer.Ordinal)
                .OrderBy(a =>
                    a is "*" ? 2
                    : a is "0.0.0.0" ? 1
                    : 0
                )
        )
        {
            List<HeardPort> here = [.. plain.Where(p => Meet(p.Address, address)).Select(p => p.Port).DistinctBy(p => p.Who)];
            if (address is "*" or "0.0.0.0")
            {
                here = [.. here.Where(p => Plain(p.Address) is "*" or "0.0.0.0")];
            }

            var pairs = here.SelectMany((a, n) => here.Skip(n + 1).Select(b => (a, b))).ToList();
            if (pairs.Count == 0 || pairs.TrueForAll(told.Contains))
            {
                continue;
            }

            told.UnionWith(pairs);
            var first = ports[0];
            yield return new PortClash(first.Stack, address, first.Protocol, first.Port, here);
        }
    }
}
