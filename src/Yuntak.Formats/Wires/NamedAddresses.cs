using System.Net;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Formats.Wires;

/// <summary>Every name of a lab with its address: hosts, guests and boxes; an app stack by the address its engine publishes at. What is outside has no name here.</summary>
internal static class NamedAddresses
{
    /// <summary>All of them; of names that mean two things the first only, since the second would be chance.</summary>
    public static IReadOnlyList<NamedAddress> Of(HouseWires wires)
    {
        List<(string Name, IPAddress Address, Holder Who)> named = [];
        var inside = wires
            .Networks.Where(n => n.Network.Purpose != NetworkPurpose.Outside)
            .SelectMany(n => n.Held.Where(h => h.Address is not null).Select(h => (h.Who, Address: h.Address!, n.Network.Purpose)))
            .GroupBy(h => h.Who)
            .Select(g => (Who: g.Key, Addresses: Reached(g.Select(h => (h.Address, h.Purpose)))))
            .ToList();
        foreach (var (who, addresses) in inside)
        {
            named.AddRange(addresses.Select(a => (Names.Slug(who.Name), a, who)));
        }

        var own = inside.ToDictionary(h => h.Who, h => h.Addresses);
        foreach (var guest in wires.Lab.Guests)
        {
            var who = Holder.Of(guest);
            // A stack without a place on a network answers where its engine does.
            if (!own.TryGetValue(who, out var addresses))
            {
                addresses =
                    PortsOf.StackOf(wires.Lab, guest) is { } stack && own.TryGetValue(stack, out var outer) ? outer
                    : wires.AddressOf(guest) is { } only ? [only]
                    : [];
                named.AddRange(addresses.Select(a => (Names.Slug(guest.Name), a, who)));
            }

            named.AddRange(guest.Aliases.SelectMany(alias => addresses.Select(a => (alias, a, who))));
        }

        var owner = named.GroupBy(n => n.Name, StringComparer.Ordinal).ToDictionary(g => g.Key, g => g.First().Who, StringComparer.Ordinal);
        var zone = wires.Lab.Settings.Zone;
        return
        [
            .. named
                .Where(n => owner[n.Name] == n.Who && n.Name.Length <= 63)
                .DistinctBy(n => (n.Name, n.Address))
                .Select(n => new NamedAddress(n.Name, $"{n.Name}.{zone}", n.Address)),
        ];
    }

    /// <summary>
    /// Of several addresses those that people's devices reach: on the household's network; where there is none, among servers; else wherever it is. The side towards
    /// cameras or backups is for what looks after itself there, and a name that led to it would lead nowhere.
    /// </summary>
    private static List<IPAddress> Reached(IEnumerable<(IPAddress Address, NetworkPurpose Purpose)> addresses) =>
        [.. addresses.GroupBy(a => Rank(a.Purpose)).MinBy(g => g.Key)!.Select(a => a.Address).Distinct()];

    private static int Rank(NetworkPurpose purpose) =>
        purpose switch
        {
            NetworkPurpose.Household => 0,
            NetworkPurpose.Servers => 1,
            _ => 2,
        };
}
