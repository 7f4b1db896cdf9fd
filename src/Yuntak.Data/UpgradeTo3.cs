using System.Text.Json.Nodes;
using static Yuntak.Data.StoredTree;

namespace Yuntak.Data;

/// <summary>
/// From the second form to the third: a lab says how much likelier disks of one batch fail, a guest which ports it answers on, a profile the least it needs, a line
/// of a sum what is free and unless what it counts, a disk whether it may be wiped, and host, pool and guest whether they stand. None of these was there before; all are filled
/// in with what was meant then.
/// </summary>
internal static class UpgradeTo3
{
    private static readonly Dictionary<string, string> Settings = Members("BatchTimes=10");

    private static readonly Dictionary<string, string> Guest = Members("Ports=[] Stands=false");

    private static readonly Dictionary<string, string> Stands = Members("Stands=false");

    private static readonly Dictionary<string, string> Disk = Members("MayBeWiped");

    private static readonly Dictionary<string, string> Profile = Members("LeastProcessors=[] LeastMemory=[]");

    private static readonly Dictionary<string, string> Term = Members("Unless=[] Past=0");

    private static readonly string[] Sums =
    [
        "Idle",
        "Busy",
        "Memory",
        "SystemDisk",
        "Bulk",
        "Encode",
        "Bandwidth",
        "Accelerator",
        "Scratch",
        "ClientMemory",
        "Fetch",
        "GraphicsMemory",
    ];

    /// <summary>The same lab in the third form.</summary>
    public static JsonObject Step(JsonObject lab)
    {
        Fill(lab["Settings"], Settings);
        Each(lab, "Guests", guest => Fill(guest, Guest));
        Each(
            lab,
            "Hosts",
            host =>
            {
                Fill(host, Stands);
                Each(host["Facts"]!.AsObject(), "Disks", disk => Fill(disk, Disk));
                Each(host["Plan"]!.AsObject(), "Pools", pool => Fill(pool, Stands));
            }
        );
        Each(
            lab,
            "Profiles",
            profile =>
            {
                Fill(profile, Profile);
                foreach (var sum in Sums)
                {
                    Each(profile, sum, term => Fill(term, Term));
                }
            }
        );
        return lab;
    }
}
