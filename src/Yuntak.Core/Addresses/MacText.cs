using System.Security.Cryptography;
using System.Text;

namespace Yuntak.Core.Addresses;

/// <summary>Hardware addresses (IEEE 802: 48 bits, the two lowest bits of the first byte say whether it is for a group and whether it is locally administered).</summary>
public static class MacText
{
    /// <summary>Reads «02:59:4b:00:00:1e», also with hyphens or without marks; answers in lower case with colons.</summary>
    public static bool TryRead(string? text, out string mac)
    {
        var hex = string.Concat((text ?? "").Trim().Where(c => c is not (':' or '-' or '.'))).ToLowerInvariant();
        mac = hex.Length == 12 ? string.Join(':', hex.Chunk(2).Select(pair => new string(pair))) : "";
        return hex.Length == 12 && hex.All(char.IsAsciiHexDigitLower) && (text!.Trim().Length is 12 or 14 or 17);
    }

    /// <summary>Whether it is locally administered: the second lowest bit of its first byte is 1.</summary>
    public static bool IsLocal(string mac) => (FirstByte(mac) & 2) != 0;

    /// <summary>Whether it is one device's and not a group's: the lowest bit of its first byte is 0.</summary>
    public static bool IsUnicast(string mac) => (FirstByte(mac) & 1) == 0;

    /// <summary>A locally administered hardware address that stays the same for what it is made for, and is another one for a clone of it.</summary>
    /// <param name="parts">What it is made for.</param>
    public static string For(params IEnumerable<string> parts)
    {
        var hash = SHA256.HashData(Encoding.UTF8.GetBytes(string.Join('\n', parts)));
        return "02:" + string.Join(':', hash.Take(5).Select(b => b.ToString("x2")));
    }

    private static int FirstByte(string mac) => Convert.ToInt32(mac[..2], 16);
}
