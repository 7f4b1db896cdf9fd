using System.Net;
using Yuntak.Core.Base;

namespace Yuntak.Web.Door;

/// <summary>
/// The names Yuntak may be reached by: numbers, <c>localhost</c>, the machine's own names and those it was told. A page from elsewhere that gives its own name this
/// machine's address is refused by its name, whatever Yuntak listens on.
/// </summary>
public sealed class HostNames
{
    private const int LongestName = 253;
    private readonly HashSet<string> known;

    /// <param name="machine">The machine's own name.</param>
    /// <param name="more">Names it was told.</param>
    public HostNames(string machine, IEnumerable<string> more)
    {
        var own = machine.TrimEnd('.');
        var bare = own.Split('.')[0];
        // A home's router and the machines themselves answer for these.
        known = new(StringComparer.OrdinalIgnoreCase)
        {
            "localhost",
            own,
            bare,
            bare + ".local",
            bare + ".lan",
            bare + ".home.arpa",
            bare + ".internal",
        };
        known.UnionWith(more);
    }

    /// <summary>Whether a name may be used.</summary>
    /// <param name="host">The name without a port; numbers of version 6 with or without brackets.</param>
    public bool Allows(string host) =>
        known.Contains(host.TrimEnd('.'))
        || (IPAddress.TryParse(host.Trim('[', ']'), out _) && host.Length > 0 && (char.IsAsciiDigit(host[0]) || host[0] == '['));

    /// <summary>A name as it may be told with <c>--hosts</c>.</summary>
    /// <exception cref="Refused">It is no host name.</exception>
    public static string Checked(string name) =>
        name.Length <= LongestName && Uri.CheckHostName(name) is UriHostNameType.Dns or UriHostNameType.IPv4 or UriHostNameType.IPv6
            ? name.TrimEnd('.')
            : throw new Refused($"--hosts names how Yuntak is reached, such as lab.home, not «{Names.Short(Names.Clean(name))}».");
}
