using System.Text.Json.Nodes;
using static Yuntak.Data.StoredTree;

namespace Yuntak.Data;

/// <summary>
/// From the fifth form to the sixth: networks, boxes, other places, forwards, shares and what is reserved of a lab; bridges and places on networks of a host; places on
/// networks, ports, shares and names of a guest; the zone. None of these was there before; all begin empty.
/// </summary>
internal static class UpgradeTo6
{
    private static readonly Dictionary<string, string> Lab = Members("Networks=[] Boxes=[] Sites=[] Forwards=[] Shares=[] Reserved=[]");

    private static readonly Dictionary<string, string> Guest = Members("Interfaces=[] Listens=[] Mounts=[] Aliases=[] Number Autostart");

    private static readonly Dictionary<string, string> Plan = Members("Wires");

    private static readonly Dictionary<string, string> Settings = Members("Zone=\"home.arpa\"");

    /// <summary>The same lab in the sixth form.</summary>
    public static JsonObject Step(JsonObject lab)
    {
        Fill(lab, Lab);
        Fill(lab["Settings"], Settings);
        Each(lab, "Guests", guest => Fill(guest, Guest));
        Each(lab, "Hosts", host => Fill(host["Plan"], Plan));
        return lab;
    }
}
