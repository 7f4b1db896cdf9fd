using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.Intake;

/// <summary>Network ports and bridges while they are put together from several outputs.</summary>
internal sealed class NetDraft
{
    private readonly Dictionary<string, Net> nets = new(StringComparer.Ordinal);

    /// <summary>The port or bridge that everything else goes through.</summary>
    public string? DefaultRoute { get; set; }

    public Net Port(string name, out bool added)
    {
        added = false;
        if (!nets.TryGetValue(name, out var net))
        {
            net = new Net(name);
            added = nets.Count < IntakeLimits.MostThings && nets.TryAdd(name, net);
        }

        return net;
    }

    public bool AddPath(SysLine line)
    {
        var net = Port(line.Name, out var added);
        net.Path = true;
        net.Virtual = line.Value == "virtual";
        net.Parent = line.Key.Length > 0 ? line.Key : net.Parent;
        return added && !net.Virtual;
    }

    public bool AddValue(SysLine line)
    {
        var net = Port(line.Name, out _);
        switch (line.Key)
        {
            case "speed":
                net.Speed = int.TryParse(line.Value, out var mbps) && mbps is > 0 and < 10_000_000 ? mbps : null;
                return net.Speed is not null;
            case "address":
                net.Mac ??= line.Value.Length == 17 ? line.Value.ToLowerInvariant() : null;
                return false;
            case "operstate":
                net.Up ??= line.Value switch
                {
                    "up" => true,
                    "down" => false,
                    _ => null,
                };
                return false;
            default:
                return false;
        }
    }

    public ValueList<NetworkPort> Ports() =>
        [
            .. nets
                .Values
                // A speed alone says little of a port that no other output knows.
                .Where(n => NetworkReader.IsReal(n) && (n.Listed || n.Path || n.Speed is not null))
                .OrderBy(n => n.Name, NaturalOrder.Comparer)
                .Select(n => new NetworkPort(
                    n.Name,
                    n.Mac,
                    n.Speed,
                    n.Up,
                    n.Parent,
                    [.. n.Addresses],
                    n.Name.StartsWith("wl", StringComparison.Ordinal),
                    n.Name == DefaultRoute || (n.Master is not null && n.Master == DefaultRoute)
                )),
        ];

    public ValueList<Bridge> Bridges() =>
        [
            .. nets
                .Values.Where(n =>
                    n.Kind == "bridge" || (n.Kind is null && n.Name.StartsWith("br", StringComparison.Ordinal) && n.Listed && !n.Virtual)
                )
                .OrderBy(n => n.Name, NaturalOrder.Comparer)
                .Select(n => new Bridge(
                    n.Name,
                    [
                        .. nets
                            .Values.Where(p => p.Master == n.Name && NetworkReader.IsReal(p))
                            .Select(p => p.Name)
                            .Order(NaturalOrder.Comparer),
                    ],
                    [.. n.Addresses]
                )),
        ];

    /// <summary>Whether the address of the way out is set for good; null when it is handed out (which may be for good, too) or was not read.</summary>
    public bool? AddressFixed()
    {
        var seen = nets
            .Values.Where(n =>
                (n.Fixed || n.Changing)
                && (DefaultRoute is null || n.Name == DefaultRoute)
                && (NetworkReader.IsReal(n) || n.Kind == "bridge")
            )
            .ToList();
        return seen.Count > 0 && seen.TrueForAll(n => n.Fixed && !n.Changing) ? true : null;
    }

    /// <summary>A port or bridge.</summary>
    internal sealed class Net(string name)
    {
        public string Name { get; } = name;

        public bool Listed { get; set; }

        public bool Path { get; set; }

        public bool Virtual { get; set; }

        public string? Mac { get; set; }

        public bool? Ether { get; set; }

        public bool? Up { get; set; }

        public string? Master { get; set; }

        public string? Parent { get; set; }

        public string? Kind { get; set; }

        public int? Speed { get; set; }

        public bool Fixed { get; set; }

        public bool Changing { get; set; }

        public List<string> Addresses { get; } = [];
    }
}
