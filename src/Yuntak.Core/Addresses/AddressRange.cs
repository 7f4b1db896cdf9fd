using System.Net;
using System.Net.Sockets;

namespace Yuntak.Core.Addresses;

/// <summary>Addresses from one to another, both of them included.</summary>
/// <param name="First">The first, as a number.</param>
/// <param name="Last">The last.</param>
/// <param name="Family">Their family.</param>
public sealed record AddressRange(UInt128 First, UInt128 Last, AddressFamily Family)
{
    /// <summary>Reads «10.40.7.100-10.40.7.199», or a single address.</summary>
    public static bool TryRead(string? text, out AddressRange range)
    {
        range = null!;
        var parts = (text ?? "").Split('-');
        if (
            parts.Length > 2
            || !IpText.TryRead(parts[0], out var first)
            || !IpText.TryRead(parts[^1], out var last)
            || first.AddressFamily != last.AddressFamily
        )
        {
            return false;
        }

        range = new(IpText.Number(first), IpText.Number(last), first.AddressFamily);
        return range.First <= range.Last;
    }

    /// <summary>The range a text says; null when it says none.</summary>
    public static AddressRange? Read(string? text) => text is not null && TryRead(text, out var range) ? range : null;

    /// <summary>How many addresses it has.</summary>
    public UInt128 Count => Last - First + 1;

    /// <summary>Whether an address lies in it.</summary>
    public bool Contains(IPAddress address) =>
        address.AddressFamily == Family && IpText.Number(address) is var number && number >= First && number <= Last;
}
