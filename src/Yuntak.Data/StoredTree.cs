using System.Text.Json.Nodes;

namespace Yuntak.Data;

/// <summary>What the steps from one stored form to the next do to its trees.</summary>
internal static class StoredTree
{
    /// <summary>What members mean that are not there, from a list such as «Ticks=[] Caution»: nothing written after the name is null.</summary>
    public static Dictionary<string, string> Members(string list) =>
        list.Split(' ').Select(m => m.Split('=', 2)).ToDictionary(m => m[0], m => m.Length == 2 ? m[1] : "null", StringComparer.Ordinal);

    /// <summary>Gives a record the members it lacks.</summary>
    public static void Fill(JsonNode? node, Dictionary<string, string> members)
    {
        if (node is not JsonObject record)
        {
            return;
        }

        foreach (var (name, meant) in members)
        {
            if (!record.ContainsKey(name))
            {
                record[name] = JsonNode.Parse(meant);
            }
        }
    }

    /// <summary>Changes every record of a list; of none when the list is not there.</summary>
    public static void Each(JsonObject record, string list, Action<JsonObject> change)
    {
        foreach (var item in record[list]?.AsArray() ?? [])
        {
            change(item!.AsObject());
        }
    }
}
