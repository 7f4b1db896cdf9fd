using System.Text.Json;
using System.Text.Json.Serialization;
using Yuntak.Core.Units;

namespace Yuntak.Data;

/// <summary>Stores a size as its bytes.</summary>
internal sealed class ByteSizeConverter : JsonConverter<ByteSize>
{
    public override ByteSize Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => new(reader.GetInt64());

    public override void Write(Utf8JsonWriter writer, ByteSize value, JsonSerializerOptions options) =>
        writer.WriteNumberValue(value.Bytes);
}
