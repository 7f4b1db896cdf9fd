using System.Globalization;
using Yuntak.Core.Addresses;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Formats.Definitions;

/// <summary>A published port of a Compose file, in its short form «10.40.7.2:8080:80/udp» or its long one.</summary>
internal static class ComposePort
{
    /// <summary>What is answered on; null when it is a range, or hangs on a variable.</summary>
    public static Listen? Read(INode item)
    {
        if (item.Members is { } members)
        {
            var said = members.ToDictionary(m => m.Name, m => m.Value.Text, StringComparer.Ordinal);
            return Of(
                said.GetValueOrDefault("host_ip"),
                said.GetValueOrDefault("published") ?? said.GetValueOrDefault("target"),
                said.GetValueOrDefault("target"),
                said.GetValueOrDefault("protocol")
            );
        }

        if (item.Text is not { } text || ComposeText.Settled(text) is not { } settled)
        {
            return null;
        }

        var (ports, protocol) = settled.Split('/') is [var before, var after] ? (before, after) : (settled, null);
        // An IPv6 address stands in brackets, so that its colons are its own.
        var address = ports.StartsWith('[') && ports.IndexOf("]:", StringComparison.Ordinal) is > 0 and var end ? ports[1..end] : null;
        var parts = (address is null ? ports : ports[(address.Length + 3)..]).Split(':');
        return Of(address ?? (parts.Length > 2 ? parts[0] : null), parts.Length > 1 ? parts[^2] : parts[0], parts[^1], protocol);
    }

    /// <summary>Whether nothing more than the port itself is said of it.</summary>
    public static bool IsPlain(Listen listen) => listen == new Listen(listen.Port);

    private static Listen? Of(string? address, string? published, string? target, string? protocol) =>
        Port(ComposeText.Settled(published ?? "")) is { } port && WireWords.Protocols.TryRead(protocol ?? "tcp", out var known)
            ? new Listen(
                port,
                known,
                IpText.TryRead(ComposeText.Settled(address ?? ""), out var ip) && !ip.Equals(System.Net.IPAddress.Any)
                    ? ip.ToString()
                    : null,
                Port(ComposeText.Settled(target ?? "")) is { } inside && inside != port ? inside : null
            )
            : null;

    private static int? Port(string? text) =>
        int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var port) && port is > 0 and <= 65_535 ? port : null;
}
