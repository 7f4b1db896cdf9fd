using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>Whether a host has the wires for a guest's places on networks: of the one it is on, or of another it might go to.</summary>
internal static class LegSums
{
    /// <summary>The places that no bridge of the host carries; none where the bridges of the host are not known.</summary>
    public static IEnumerable<Leg> NotCarried(HouseWires wires, Host host, Guest guest) =>
        wires.BridgesOf(host.Id).Any()
        // Who has a network port of its own, handed over whole, hangs on that and on no bridge.
        && guest.HandedWhole.All(f => host.Hardware.Function(f)?.ClassCode.StartsWith("02", StringComparison.Ordinal) != true)
            ? guest.Interfaces.Where(l => !Carries(wires.BridgeOf(host, l), l))
            : [];

    /// <summary>The networks of a guest that would be on one bridge with nothing to tell them apart; null where there are none.</summary>
    public static (string Bridge, IReadOnlyList<string> Networks)? Crossed(HouseWires wires, Host? host, Guest guest) =>
        guest
            .Interfaces.Select(l => (Leg: l, Bridge: wires.BridgeOf(host, l), wires.Lab.Network(l.Network)?.Tag))
            .Where(l => l.Bridge is not null)
            .GroupBy(b => (b.Bridge!.Name, b.Tag))
            .Where(g => g.Count() > 1)
            .Select(g => ((string, IReadOnlyList<string>)?)(g.Key.Name, [.. g.Select(c => c.Leg.Network)]))
            .FirstOrDefault();

    private static bool Carries(HostBridge? bridge, Leg leg) =>
        bridge is not null && !(bridge.Planned && bridge.Networks.Count > 0 && bridge.Networks.All(n => n.Name != leg.Network));
}
