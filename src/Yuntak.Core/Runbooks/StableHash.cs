using System.Security.Cryptography;
using System.Text;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Runbooks;

/// <summary>A short mark of a text that is the same in every process.</summary>
internal static class StableHash
{
    /// <summary>Sixteen hexadecimal digits.</summary>
    public static string Of(string text) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(text)))[..16];
}
