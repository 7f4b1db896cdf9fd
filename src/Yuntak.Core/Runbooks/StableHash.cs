using System.Buffers;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Runbooks;

/// <summary>A short mark of a text that is the same in every process.</summary>
internal static class StableHash
{
    /// <summary>Sixteen hexadecimal digits.</summary>
    /// <param name="type">The sort of thing.</param>
    /// <param name="values">Its values, which are hashed as the JSON object they make, behind the sort.</param>
    public static string Of(string type, IEnumerable<KeyValuePair<string, JsonNode?>> values)
    {
        var bytes = new ArrayBufferWriter<byte>(512);
        Encoding.UTF8.GetBytes(type, bytes);
        using (var json = new Utf8JsonWriter(bytes))
        {
            json.WriteStartObject();
            foreach (var (name, value) in values)
            {
                json.WritePropertyName(name);
                if (value is null)
                {
                    json.WriteNullValue();
                }
                else
                {
                    value.WriteTo(json);
                }
            }

            json.WriteEndObject();
        }

        return Convert.ToHexStringLower(SHA256.HashData(bytes.WrittenSpan))[..16];
    }
}
