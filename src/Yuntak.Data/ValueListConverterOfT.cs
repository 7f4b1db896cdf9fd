using System.Text.Json;
using System.Text.Json.Serialization;
using Yuntak.Core.Base;

namespace Yuntak.Data;

/// <summary>Stores one sort of list.</summary>
internal sealed class ValueListConverter<T> : JsonConverter<ValueList<T>>
{
    public override ValueList<T> Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        [.. JsonSerializer.Deserialize<List<T>>(ref reader, options) ?? []];

    public override void Write(Utf8JsonWriter writer, ValueList<T> value, JsonSerializerOptions options) =>
        JsonSerializer.Serialize(writer, (IEnumerable<T>)value, options);
}
