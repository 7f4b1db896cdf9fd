using System.Text.Json.Nodes;
using static Yuntak.Data.StoredTree;

namespace Yuntak.Data;

/// <summary>
/// From the third form to the fourth: a host says its kind, what it keeps of memory and boot disk, how fast its cores are and what encoder it has; what is inside it
/// lists mounts, pools found, listeners and what runs; a pool says whether it is kept as found, where it is mounted, how large it is and what it stands in front of; an
/// guest has claims on devices, an app stack keeps its networks, the names of its variables, device nodes and restart rule; a lab has shared folders. None of these was there before; all are filled in with what was meant then.
/// </summary>
internal static class UpgradeTo4
{
    private static readonly Dictionary<string, string> Facts = Members("Type=\"Hypervisor\" BaseMemory SystemShare CoreSpeed Encoder");

    private static readonly Dictionary<string, string> Inside = Members("Mounts=[] Found=[] Listeners=[] Runs=[]");

    private static readonly Dictionary<string, string> Pool = Members("KeptAsFound=false MountedAt Size Tier Serves WrittenBetweenMoves");

    private static readonly Dictionary<string, string> Guest = Members("Claims=[] Networks=[] Variables=[] Nodes=[] Restart");

    private static readonly Dictionary<string, string> Lab = Members("Folders=[]");

    /// <summary>The same lab in the fourth form.</summary>
    public static JsonObject Step(JsonObject lab)
    {
        Fill(lab, Lab);
        Each(lab, "Guests", guest => Fill(guest, Guest));
        Each(
            lab,
            "Hosts",
            host =>
            {
                Fill(host["Facts"], Facts);
                Fill(host["Facts"]!["Inside"], Inside);
                Each(host["Plan"]!.AsObject(), "Pools", pool => Fill(pool, Pool));
            }
        );
        return lab;
    }
}
