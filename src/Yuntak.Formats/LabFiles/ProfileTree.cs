using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Wants;
using static Yuntak.Formats.LabFiles.TreeParts;

namespace Yuntak.Formats.LabFiles;

/// <summary>Lays a profile out as the tree of names and values that a file holds. Defaults are left out.</summary>
internal static class ProfileTree
{
    public static JsonObject Of(Profile profile)
    {
        var tree = new JsonObject
        {
            ["id"] = profile.Id,
            ["name"] = profile.Name,
            ["summary"] = profile.Summary,
            ["family"] = LabFileNames.ServiceFamilies.WordFor(profile.Family),
            ["advised"] = new JsonArray([.. profile.Advised.Select(k => (JsonNode)LabFileNames.Kinds.WordFor(k))]),
        };
        Put(tree, "advice", profile.Advice.Length > 0 ? profile.Advice : null);
        Put(tree, "caution", profile.Caution);
        Put(tree, "needs", HardwareTree.Texts(profile.Needs));
        Put(tree, "ports", profile.Ports.Count > 0 ? new JsonArray([.. profile.Ports.Select(p => (JsonNode)p)]) : null);
        Put(tree, "start-order", profile.StartOrder == Standard.StartOrder ? null : profile.StartOrder);
        Put(tree, "first-start-minutes", profile.FirstStartMinutes == Standard.FirstStartMinutes ? null : profile.FirstStartMinutes);
        Put(tree, "memory-floor", profile.MemoryFloorGiB > 0 ? profile.MemoryFloorGiB : null);
        Put(tree, "loads", profile.Loads.Count > 0 ? new JsonArray([.. profile.Loads.Select(Of)]) : null);
        foreach (var terms in ProfileTerms.All.Where(t => t.Of(profile).Count > 0))
        {
            tree[terms.Word] = new JsonArray([.. terms.Of(profile).Select(Of)]);
        }

        tree["shape"] = Shape(profile.Shape);
        return tree;
    }

    /// <summary>What a profile has where its file says nothing.</summary>
    internal static readonly Profile Standard = new(
        "",
        "",
        "",
        Family.House,
        Loads: [],
        Idle: [],
        Busy: [],
        Memory: [],
        SystemDisk: [],
        Bulk: [],
        DayShape.Flat,
        Advised: [],
        ""
    );

    private static JsonObject Of(LoadSpec load)
    {
        var tree = new JsonObject
        {
            ["id"] = load.Id,
            ["label"] = load.Label,
            ["says"] = load.Says,
        };
        Put(tree, "unit", load.Unit.Length > 0 ? load.Unit : null);
        tree["usual"] = load.Default;
        tree["min"] = load.Min;
        tree["max"] = load.Max;
        Put(tree, "step", load.Step is 1 ? null : load.Step);
        Put(tree, "yes-no", load.YesNo ? true : null);
        Put(tree, "for-the-record", load.ForTheRecord ? true : null);
        return tree;
    }

    private static JsonObject Of(Term term)
    {
        var tree = new JsonObject { ["label"] = term.Label, ["amount"] = term.Amount };
        Put(tree, "per", HardwareTree.Texts(term.Per));
        Put(tree, "only", HardwareTree.Texts([.. term.Only.Select(k => LabFileNames.Kinds.WordFor(k))]));
        Put(tree, "published", term.Trade ? null : true);
        return tree;
    }

    private static JsonNode Shape(DayShape shape) =>
        LabFileNames.Shapes.Where(s => s.Value == shape).Select(s => (JsonNode?)s.Word).FirstOrDefault()
        ?? new JsonArray([.. shape.Weights.Select(w => (JsonNode)w)]);
}
