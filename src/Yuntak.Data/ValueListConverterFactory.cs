using System.Text.Json;
using System.Text.Json.Serialization;
using Yuntak.Core.Base;

namespace Yuntak.Data;

/// <summary>Stores a list of the model as a JSON array.</summary>
internal sealed class ValueListConverterFactory : JsonConverterFactory
{
    public override bool CanConvert(Type typeToConvert) =>
        typeToConvert.IsGenericType && typeToConvert.GetGenericTypeDefinition() == typeof(ValueList<>);

    public override JsonConverter CreateConverter(Type typeToConvert, JsonSerializerOptions options) =>
        (JsonConverter)Activator.CreateInstance(typeof(ValueListConverter<>).MakeGenericType(typeToConvert.GetGenericArguments()))!;
}
