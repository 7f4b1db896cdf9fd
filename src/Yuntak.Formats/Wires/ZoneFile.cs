using System.Net;
using System.Net.Sockets;
using System.Text;
using Yuntak.Core.Addresses;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Formats.Wires;

/// <summary>Zone lines (RFC 1035, 5): forward for a zone of names, reverse for a zone below in-addr.arpa (RFC 1035, 3.5) or ip6.arpa (RFC 3596).</summary>
public static class ZoneFile
{
    private const int Nibbles = 32;

    /// <summary>The lines of a zone, whole enough to be checked and served.</summary>
    /// <param name="wires">The wires of the lab.</param>
    /// <param name="zone">The zone: the lab's own or a reverse one.</param>
    /// <exception cref="Refused">It is no name of a zone.</exception>
    public static string Of(HouseWires wires, string zone)
    {
        var name = zone.Trim().TrimEnd('.').ToLowerInvariant();
        if (!LabSettings.IsZone(name))
        {
            throw new Refused(
                $"A zone such as {wires.Lab.Settings.Zone} or 7.40.10.in-addr.arpa belongs here, not «{Names.Short(Names.Clean(zone))}»."
            );
        }

        var named = NamedAddresses.Of(wires);
        var server = wires.Lab.Guests.FirstOrDefault(g => g.Wants.Any(w => w.ProfileId == "name-server") && wires.AddressOf(g) is not null);
        var host = server is null ? "ns" : Names.Slug(server.Name);
        var text = new StringBuilder();
        var own = wires.Lab.Settings.Zone;
        text.Append($"$ORIGIN {name}.\n$TTL 3600\n");
        text.Append($"@ IN SOA {host}.{own}. hostmaster.{own}. 1 3600 900 1209600 300\n@ IN NS {host}.{own}.\n");
        if (name.EndsWith(".arpa", StringComparison.Ordinal) && IsReverse(name))
        {
            foreach (var line in named.DistinctBy(n => n.Address).Select(n => (Where: Reverse(n.Address), n.FullName)))
            {
                if (line.Where.EndsWith("." + name, StringComparison.Ordinal))
                {
                    text.Append($"{line.Where[..^(name.Length + 1)]} IN PTR {line.FullName}.\n");
                }
            }

            return text.ToString();
        }

        if (name == own && named.All(n => n.Name != host))
        {
            // A zone needs the address of who serves it.
            text.Append($"{host} IN A 127.0.0.1 ; put the name server's address here\n");
        }

        foreach (var line in name == own ? named : [])
        {
            text.Append($"{line.Name} IN {(line.Address.AddressFamily == AddressFamily.InterNetwork ? "A" : "AAAA")} {line.Address}\n");
        }

        return text.ToString();
    }

    /// <summary>The reverse zones a lab's networks make: of IPv4 whole parts of an address, of IPv6 whole hexadecimal digits.</summary>
    public static IEnumerable<string> Reverses(HouseWires wires) =>
        wires
            .Networks.Where(n => n.Prefix is not null && n.Network.Purpose != NetworkPurpose.Outside)
            .Select(n =>
            {
                var parts = Reverse(n.Prefix!.Network).Split('.');
                var (whole, all) =
                    n.Prefix.Family == AddressFamily.InterNetwork ? (n.Prefix.Length / 8, 4) : (n.Prefix.Length / 4, Nibbles);
                return string.Join('.', parts.Skip(all - whole));
            })
            .Distinct(StringComparer.Ordinal);

    private static bool IsReverse(string zone) =>
        zone.EndsWith("in-addr.arpa", StringComparison.Ordinal) || zone.EndsWith("ip6.arpa", StringComparison.Ordinal);

    private static string Reverse(IPAddress address)
    {
        var bytes = address.GetAddressBytes();
        return address.AddressFamily == AddressFamily.InterNetwork
            ? string.Join('.', bytes.Reverse()) + ".in-addr.arpa"
            : string.Join('.', bytes.Reverse().SelectMany(b => new[] { (b & 15).ToString("x"), (b >> 4).ToString("x") })) + ".ip6.arpa";
    }
}
