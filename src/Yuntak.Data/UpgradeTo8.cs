using System.Text.Json.Nodes;
using static Yuntak.Data.StoredTree;

namespace Yuntak.Data;

/// <summary>From the seventh form to the eighth: notes and values kept with steps, and measured times. None of these was there before.</summary>
internal static class UpgradeTo8
{
    private static readonly Dictionary<string, string> Lab = Members("Notes=[] Took=[]");

    /// <summary>The same lab in the eighth form.</summary>
    public static JsonObject Step(JsonObject lab)
    {
        Fill(lab, Lab);
        return lab;
    }
}
