using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Yuntak.Core.Base;

namespace Yuntak.Data;

/// <summary>Stores one sort of list.</summary>
internal sealed class ValueListConverter<T> : JsonConverter<ValueList<T>>
{
    public override ValueList<T> Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        Items(ref reader, (JsonTypeInfo<T>)options.GetTypeInfo(typeof(T)));

    public override void Write(Utf8JsonWriter writer, ValueList<T> value, JsonSerializerOptions options) =>
        Write(writer, value, (JsonTypeInfo<T>)options.GetTypeInfo(typeof(T)));

    private static ValueList<T> Items(ref Utf8JsonReader reader, JsonTypeInfo<T> item)
    {
        if (reader.TokenType != JsonTokenType.StartArray)
        {
            throw new JsonException("A list belongs here.");
        }

        List<T> items = [];
        while (reader.Read() && reader.TokenType != JsonTokenType.EndArray)
        {
            items.Add(JsonSerializer.Deserialize(ref reader, item) ?? throw new JsonException("Nothing stands in a list."));
        }

        return [.. items];
    }

    private static void Write(Utf8JsonWriter writer, ValueList<T> value, JsonTypeInfo<T> item)
    {
        writer.WriteStartArray();
        foreach (var one in value)
        {
            JsonSerializer.Serialize(writer, one, item);
        }

        writer.WriteEndArray();
    }
}
