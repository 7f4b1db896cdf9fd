using System.Text.Json;
using System.Text.Json.Serialization;
using Yuntak.Core.Labs;

namespace Yuntak.Data;

/// <summary>A lab as the JSON that is stored, with its version.</summary>
public static class LabJson
{
    /// <summary>The version written today. When the model changes shape, raise it and add the step to <see cref="Read"/>.</summary>
    public const int Version = 1;

    private static readonly JsonSerializerOptions Options = new()
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        Converters = { new ByteSizeConverter(), new ValueListConverterFactory(), new JsonStringEnumConverter() },
        IgnoreReadOnlyProperties = true,
    };

    /// <summary>The lab as compressed JSON of today's version.</summary>
    public static byte[] Write(Lab lab) => Compression.Pack(JsonSerializer.SerializeToUtf8Bytes(lab, Options));

    /// <summary>Reads a stored lab of this or an earlier version.</summary>
    /// <exception cref="NotSupportedException">It was written by a newer Yuntak.</exception>
    public static Lab Read(byte[] content, int version)
    {
        if (version > Version)
        {
            throw new NotSupportedException(
                $"This data was written by a newer Yuntak (version {version} of the stored form; this one reads up to {Version}). Nothing was changed. Use the newer Yuntak."
            );
        }

        return JsonSerializer.Deserialize<Lab>(Compression.Unpack(content), Options) ?? throw new JsonException("A stored lab is empty.");
    }
}
