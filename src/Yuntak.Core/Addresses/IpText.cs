using System.Buffers.Binary;
using System.Globalization;
using System.Net;
using System.Net.Sockets;

namespace Yuntak.Core.Addresses;

/// <summary>Addresses as people write them. Stricter than the framework, which takes «1» and «010.1» for addresses and reads the latter as octal.</summary>
public static class IpText
{
    /// <summary>Reads an IPv4 address of four decimal numbers, or an IPv6 address (RFC 4291, 2.2) without scope or brackets.</summary>
    public static bool TryRead(string? text, out IPAddress address)
    {
        address = IPAddress.None;
        var trimmed = (text ?? "").Trim();
        if (trimmed.Contains('%') || trimmed.Contains('[') || trimmed.Contains('/'))
        {
            return false;
        }

        if (!IPAddress.TryParse(trimmed, out var parsed))
        {
            return false;
        }

        address = parsed;
        return parsed.AddressFamily == AddressFamily.InterNetworkV6
            ? trimmed.Contains(':')
            : trimmed.Split('.') is { Length: 4 } parts
                && parts.All(p => p.Length is > 0 and < 4 && p.All(char.IsAsciiDigit) && (p.Length == 1 || p[0] != '0'));
    }

    /// <summary>The address a text says; null when it says none.</summary>
    public static IPAddress? Read(string? text) => TryRead(text, out var address) ? address : null;

    /// <summary>An address as a number, for arithmetic within its family.</summary>
    public static UInt128 Number(IPAddress address)
    {
        Span<byte> bytes = stackalloc byte[16];
        address.TryWriteBytes(bytes, out var written);
        return written == 4 ? BinaryPrimitives.ReadUInt32BigEndian(bytes) : BinaryPrimitives.ReadUInt128BigEndian(bytes);
    }

    /// <summary>The address of a number.</summary>
    /// <param name="number">The number.</param>
    /// <param name="family">The family it belongs to.</param>
    public static IPAddress Of(UInt128 number, AddressFamily family)
    {
        Span<byte> bytes = stackalloc byte[16];
        if (family == AddressFamily.InterNetwork)
        {
            BinaryPrimitives.WriteUInt32BigEndian(bytes, (uint)number);
            return new IPAddress(bytes[..4]);
        }

        BinaryPrimitives.WriteUInt128BigEndian(bytes, number);
        return new IPAddress(bytes);
    }

    /// <summary>The last part of an address as people say it: «.20», «::20».</summary>
    /// <param name="text">The address.</param>
    public static string Tail(string text) =>
        text.Contains(':', StringComparison.Ordinal)
            ? "::" + text[(text.LastIndexOf(':') + 1)..]
            : text[Math.Max(0, text.LastIndexOf('.'))..];

    /// <summary>The last part of an IPv4 address as a number; null of another.</summary>
    public static int? LastPart(string? text) =>
        text is not null && !text.Contains(':', StringComparison.Ordinal) && TryRead(text, out _)
            ? int.Parse(text.AsSpan(text.LastIndexOf('.') + 1), CultureInfo.InvariantCulture)
            : null;
}
