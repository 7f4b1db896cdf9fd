using System.Text.Json.Nodes;

namespace Yuntak.Formats.LabFiles;

/// <summary>What every tree of names and values is put together with.</summary>
internal static class TreeParts
{
    /// <summary>Writes a value that is there; what is left out says nothing.</summary>
    public static void Put(JsonObject tree, string key, JsonNode? value)
    {
        if (value is not null)
        {
            tree[key] = value;
        }
    }
}
