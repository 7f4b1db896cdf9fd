using System.Text.Json.Nodes;
using static Yuntak.Data.StoredTree;

namespace Yuntak.Data;

/// <summary>
/// From the fourth form to the fifth: a claim says whether its group is mapped; a guest says what it goes without, whether it moves while it runs and whether backups
/// keep its memory; a function says how many slices it gives, a host whether its isolation groups were split and which controllers were tried; a profile brings claims.
/// None of these was there before; all are filled in with what was meant then.
/// </summary>
internal static class UpgradeTo5
{
    private static readonly Dictionary<string, string> Guest = Members("GoesWithout=[] MovesRunning=false BackedUpWithMemory=false");

    private static readonly Dictionary<string, string> Claim = Members("Mapped");

    private static readonly Dictionary<string, string> Facts = Members("Tries=[]");

    private static readonly Dictionary<string, string> Inside = Members("GroupsSplit");

    private static readonly Dictionary<string, string> Function = Members("Slices");

    private static readonly Dictionary<string, string> Profile = Members("Claims=[]");

    /// <summary>The same lab in the fifth form.</summary>
    public static JsonObject Step(JsonObject lab)
    {
        Each(lab, "Profiles", profile => Fill(profile, Profile));
        Each(
            lab,
            "Guests",
            guest =>
            {
                Fill(guest, Guest);
                Each(guest, "Claims", claim => Fill(claim, Claim));
            }
        );
        Each(
            lab,
            "Hosts",
            host =>
            {
                var facts = host["Facts"]!.AsObject();
                Fill(facts, Facts);
                Fill(facts["Inside"], Inside);
                if (facts["Inside"] is JsonObject inside)
                {
                    Each(inside, "Functions", function => Fill(function, Function));
                }
            }
        );
        return lab;
    }
}
