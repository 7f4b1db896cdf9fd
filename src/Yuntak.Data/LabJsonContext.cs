using System.Text.Json.Serialization;
using Yuntak.Core.Labs;

namespace Yuntak.Data;

/// <summary>What the serializer needs to know of the model, worked out when Yuntak is built instead of at every start.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata)]
[JsonSerializable(typeof(Lab))]
internal sealed partial class LabJsonContext : JsonSerializerContext;
