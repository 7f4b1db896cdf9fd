using System.Net;
using System.Text;
using Yuntak.Core.Addresses;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Formats.Wires;

/// <summary>Names as a hosts file (hosts(5)): an address, the full name, the short one and further ones on each line. Names are letters, digits and hyphens only.</summary>
public static class HostsFile
{
    /// <summary>The file of a lab, in the order of addresses.</summary>
    public static string Of(HouseWires wires)
    {
        var text = new StringBuilder("127.0.0.1 localhost\n::1 localhost ip6-localhost ip6-loopback\n");
        foreach (var line in NamedAddresses.Of(wires).GroupBy(n => n.Address).OrderBy(g => g.Key, AddressOrder.Only))
        {
            text.Append(line.Key);
            foreach (var name in line.SelectMany(n => new[] { n.FullName, n.Name }).Distinct(StringComparer.Ordinal))
            {
                text.Append(' ').Append(name);
            }

            text.Append('\n');
        }

        return text.ToString();
    }

    /// <summary>Addresses by family, then by number.</summary>
    private sealed class AddressOrder : IComparer<IPAddress>
    {
        public static readonly AddressOrder Only = new();

        public int Compare(IPAddress? x, IPAddress? y) =>
            x!.AddressFamily != y!.AddressFamily
                ? x.AddressFamily.CompareTo(y.AddressFamily)
                : IpText.Number(x).CompareTo(IpText.Number(y));
    }
}
