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
        var inside = wires.Networks.Where(n => n.Network.Purpose != NetworkPurpose.Outside).SelectMany(n => n.Held).ToList();
        foreach (var held in inside.Where(h => h.Address is not null))
        {
            named.Add((Names.Slug(held.Who.Name), held.Address!, held.Who));
        }

        foreach (var guest in wires.Lab.Guests)
        {
            var own = inside.FirstOrDefault(h => h.Who == Holder.Of(guest) && h.Address is not null)?.Address;
            if ((own ?? wires.AddressOf(guest)) is not { } address)
            {
                continue;
            }

            if (own is null)
            {
                named.Add((Names.Slug(guest.Name), address, Holder.Of(guest)));
            }

            named.AddRange(guest.Aliases.Select(a => (a, address, Holder.Of(guest))));
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
}
