using System.Text.Json.Nodes;
using static Yuntak.Data.StoredTree;

namespace Yuntak.Data;

/// <summary>From the eighth form to the ninth: stores, jobs, onward copies, drills, copies that are there, the time zone and when the house wakes. None of these was there before.</summary>
internal static class UpgradeTo9
{
    private static readonly Dictionary<string, string> Lab = Members("Stores=[] Jobs=[] Onward=[] Drills=[] Copies=[]");

    private static readonly Dictionary<string, string> Settings = Members("TimeZone=\"Etc/UTC\" Wakes=\"06:30\"");

    /// <summary>The same lab in the ninth form.</summary>
    public static JsonObject Step(JsonObject lab)
    {
        Fill(lab, Lab);
        Fill(lab["Settings"]!.AsObject(), Settings);
        return lab;
    }
}
