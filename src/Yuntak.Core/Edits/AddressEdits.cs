using Yuntak.Core.Addresses;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Edits;

/// <summary>Takes lists of addresses over: who is known gets its address, who is not becomes a box.</summary>
public static class AddressEdits
{
    /// <summary>Takes what was found over. Networks must be planned first, since an address alone does not say how long its prefix is.</summary>
    /// <exception cref="Refused">When applied: nothing of it lies in a network that is planned.</exception>
    public static Edit Take(ValueList<FoundAddress> found) =>
        lab =>
        {
            var whole = Joined(found).Where(f => f.Address is not null && NetworkOf(lab, f.Address) is not null).ToList();
            if (whole.Count == 0)
            {
                throw new Refused(
                    lab.Networks.Count == 0
                        ? "Plan a network first: an address alone does not say which network it is of."
                        : "None of these addresses lies in a network that is planned."
                );
            }

            var (guests, boxes) = (0, 0);
            var with = lab;
            foreach (var line in whole)
            {
                var network = NetworkOf(with, line.Address!)!;
                var slug = Names.Slug(line.Name ?? "");
                var guest = with.Guests.FirstOrDefault(g =>
                    (line.Name is not null && (Names.Slug(g.Name) == slug || g.Aliases.Contains(slug)))
                    || g.Interfaces.Any(l => line.Mac is not null && Macs.Of(g, l) == line.Mac)
                );
                var host = with.Hosts.FirstOrDefault(h =>
                    (line.Name is not null && Names.Slug(h.Name) == slug)
                    || h.Hardware.Ports.Any(p => p.Mac is not null && p.Mac == line.Mac)
                );
                if (guest is not null && (guest.Kind != Profiles.GuestKind.AppStack || guest.Interfaces.Count > 0))
                {
                    var leg = guest.Interfaces.FirstOrDefault(l => l.Network == network.Name) ?? new Leg(network.Name);
                    with = with.WithGuest(
                        guest.Id,
                        g =>
                            g with
                            {
                                Interfaces =
                                [
                                    .. g.Interfaces.Where(l => l.Network != network.Name),
                                    leg with
                                    {
                                        Address = line.Address,
                                        Mac = line.Mac ?? leg.Mac,
                                    },
                                ],
                            }
                    );
                    guests++;
                }
                else if (host is not null)
                {
                    if (host.Wires.Interfaces.All(l => l.Address != line.Address))
                    {
                        with = WireEdits.HostLeg(host.Id, new Leg(network.Name, line.Address, line.Mac))(with).Lab;
                    }
                }
                else if (guest is null && with.Boxes.All(b => !b.Addresses.Contains(line.Address!)))
                {
                    with = with with { Boxes = with.Boxes.With(new Box(FreeName(with, line), "", [line.Address!], line.Mac)) };
                    boxes++;
                }
            }

            return WireEdits.Checked(
                lab,
                with,
                $"{Numbers.Count(whole.Count, "address", "addresses")} taken over: {Numbers.Count(guests, "guest")}, {Numbers.Count(boxes, "new box", "new boxes")}"
            );
        };

    /// <summary>Lines about one thing joined: ethers say a name or an address for a hardware address, a hosts file an address for a name.</summary>
    private static List<FoundAddress> Joined(ValueList<FoundAddress> found)
    {
        var byName = found
            .Where(f => f is { Name: not null, Mac: not null })
            .GroupBy(f => Names.Slug(f.Name!))
            .ToDictionary(g => g.Key, g => g.First().Mac);
        var byAddress = found
            .Where(f => f is { Address: not null, Mac: not null })
            .GroupBy(f => f.Address!)
            .ToDictionary(g => g.Key, g => g.First().Mac);
        var names = found
            .Where(f => f is { Address: not null, Name: not null })
            .GroupBy(f => f.Address!)
            .ToDictionary(g => g.Key, g => g.First().Name);
        return
        [
            .. found
                .Where(f => f.Address is not null)
                .Select(f =>
                    f with
                    {
                        Name = f.Name ?? names.GetValueOrDefault(f.Address!),
                        Mac =
                            f.Mac
                            ?? byAddress.GetValueOrDefault(f.Address!)
                            ?? (f.Name is null ? null : byName.GetValueOrDefault(Names.Slug(f.Name))),
                    }
                )
                .DistinctBy(f => f.Address),
        ];
    }

    private static Network? NetworkOf(Lab lab, string address) =>
        lab.Networks.FirstOrDefault(n => IpText.Read(address) is { } ip && Prefix.Read(n.Prefix)?.MayBeHost(ip) == true);

    private static string FreeName(Lab lab, FoundAddress line)
    {
        var name = line.Name is { Length: > 0 } said ? Names.Short(said).TrimEnd('…') : $"box at {line.Address}";
        return lab.Boxes.All(b => b.Name != name) ? name : $"{name} at {line.Address}";
    }
}
