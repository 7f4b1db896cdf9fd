using System.Text.Json.Nodes;
using static Yuntak.Data.StoredTree;

namespace Yuntak.Data;

/// <summary>
/// From the sixth form to the seventh: where a guest may be put (pinned, surviving, apart, together, other packagings), hosts that could be bought, and what energy
/// costs. None of these was there before.
/// </summary>
internal static class UpgradeTo7
{
    private static readonly Dictionary<string, string> Lab = Members("Offers=[]");

    private static readonly Dictionary<string, string> Guest = Members("Pinned=false Survives=false Apart=[] Together=[] MayBe=[]");

    private static readonly Dictionary<string, string> Settings = Members("EnergyPrice=0.3 Currency=\"€\"");

    /// <summary>The same lab in the seventh form.</summary>
    public static JsonObject Step(JsonObject lab)
    {
        Fill(lab, Lab);
        Fill(lab["Settings"], Settings);
        Each(lab, "Guests", guest => Fill(guest, Guest));
        return lab;
    }
}
