using System.Text.Json;
using Yuntak.Core.Base;
using Yuntak.Core.Kit;

namespace Yuntak.Formats.Intake;

/// <summary>Reads <c>ip -j link</c>, <c>ip -j addr</c> and <c>ip -j route</c>, each with or without <c>-d</c>.</summary>
internal static class NetworkReader
{
    private static readonly string[] MadeUp =
    [
        "lo",
        "br",
        "veth",
        "virbr",
        "tap",
        "tun",
        "bond",
        "dummy",
        "wg",
        "ifb",
        "vnet",
        "team",
        "vlan",
        "macvtap",
        "sit",
        "gre",
    ];

    /// <summary>Whether an array is one of these answers.</summary>
    public static bool Is(JsonElement root) =>
        root.ValueKind == JsonValueKind.Array
        && root.EnumerateArray()
            .Any(r => r.ValueKind == JsonValueKind.Object && (r.TryGetProperty("ifname", out _) || r.TryGetProperty("dst", out _)));

    public static void Read(JsonElement root, int line, string? problem, NetDraft draft, PartLog log)
    {
        var read = 0;
        foreach (var row in root.EnumerateArray().Take(IntakeLimits.MostThings))
        {
            if (row.Text("dst") == "default" && row.Text("dev") is { } way)
            {
                draft.DefaultRoute ??= Names.Clean(way);
                read++;
            }
            else if (row.Text("ifname") is { } name)
            {
                read += ReadPort(row, Names.Clean(name), draft) ? 1 : 0;
            }
        }

        log.Add(KitParts.Network, read, line, problem is null ? [] : [problem]);
    }

    private static bool ReadPort(JsonElement row, string name, NetDraft draft)
    {
        if (name.Length is 0 or > 32)
        {
            return false;
        }

        var net = draft.Port(name, out var added);
        net.Listed = true;
        net.Mac = row.Text("address") is { Length: 17 } mac && row.Text("link_type") is "ether" or null ? mac.ToLowerInvariant() : net.Mac;
        net.Ether = row.Text("link_type") is { } type ? type == "ether" : net.Ether;
        net.Up = row.Text("operstate")?.ToUpperInvariant() switch
        {
            "UP" => true,
            "DOWN" => false,
            _ => net.Up,
        };
        net.Master = row.Text("master") is { } master ? Names.Clean(master) : net.Master;
        net.Parent = row.Text("parentbus") == "pci" && row.Text("parentdev") is { } device ? SysLine.Address(device) : net.Parent;
        if (row.TryGetProperty("linkinfo", out var info) && info.ValueKind == JsonValueKind.Object)
        {
            net.Kind = info.Text("info_kind") ?? net.Kind;
        }

        foreach (var address in row.Rows("addr_info"))
        {
            if (address.Text("local") is { } local && address.Text("scope") == "global")
            {
                var text = Names.Clean($"{local}/{address.Text("prefixlen")}");
                if (!net.Addresses.Contains(text) && net.Addresses.Count < 64)
                {
                    net.Addresses.Add(text);
                }

                net.Changing |= address.Text("family") == "inet" && address.Flag("dynamic") == true;
                net.Fixed |= address.Text("family") == "inet" && address.Flag("dynamic") != true;
            }
        }

        return added;
    }

    /// <summary>Whether a port is really there and not made up by the kernel.</summary>
    public static bool IsReal(NetDraft.Net net) =>
        net.Name != "lo"
        && !net.Virtual
        && net.Ether != false
        && net.Kind is null
        && (net.Path || net.Parent is not null || !MadeUp.Any(m => net.Name.StartsWith(m, StringComparison.Ordinal)));
}
