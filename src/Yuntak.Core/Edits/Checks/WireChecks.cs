using Yuntak.Core.Addresses;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Edits;

/// <summary>What is wrong with networks, shares and ways in, whatever door they came through: what names something that is not there, or is there twice.</summary>
internal static class WireChecks
{
    /// <summary>Whether nothing of it differs between two labs; what guests have of it is looked at with them.</summary>
    public static bool Same(Lab a, Lab b) =>
        a.Networks == b.Networks
        && a.Boxes == b.Boxes
        && a.Sites == b.Sites
        && a.Forwards == b.Forwards
        && a.Shares == b.Shares
        && a.Reserved == b.Reserved;

    /// <summary>Every problem of a lab's own lists; none for a sound one.</summary>
    public static IEnumerable<Problem> Problems(Lab lab) =>
        Each(lab.Networks, "networks", WireShapes.Network, n => n.Name, "network", NetworkProblems)
            .Concat(Each(lab.Boxes, "boxes", ReachShapes.Box, b => b.Name, "box", _ => []))
            .Concat(Each(lab.Sites, "sites", ReachShapes.Site, s => s.Name, "place", s => GuestThere(lab, "tunnel", s.Tunnel)))
            .Concat(
                Each(
                    lab.Forwards,
                    "forwards",
                    ReachShapes.Forward,
                    f => f.Key,
                    "forward",
                    f => GuestThere(lab, "to", f.To).Concat(GuestThere(lab, "through", f.Through))
                )
            )
            .Concat(Each(lab.Shares, "shares", ReachShapes.Share, s => s.Name, "share", s => EndProblems(lab, s.From)))
            .Concat(lab.Hosts.SelectMany((h, n) => HostProblems(lab, h).Select(p => p.Below($"hosts[{n}].plan"))));

    /// <summary>Every problem of what a guest has of networks, beside what its shape says.</summary>
    public static IEnumerable<Problem> Problems(Lab lab, Guest guest) =>
        LegProblems(lab, guest.Interfaces)
            .Concat(
                guest
                    .Mounts.Select((m, n) => (m.Share, n))
                    .Where(m => lab.Shares.All(s => s.Name != m.Share))
                    .Select(m => new Problem($"mounts[{m.n}].share", Missing("share", m.Share, lab.Shares.Select(s => s.Name))))
            );

    private static IEnumerable<Problem> HostProblems(Lab lab, Host host) =>
        LegProblems(lab, host.Wires.Interfaces)
            .Concat(
                host.Wires.Bridges.SelectMany(
                    (b, n) =>
                        b
                            .Networks.Where(name => lab.Network(name) is null)
                            .Select(name => new Problem(
                                $"bridges[{n}].networks",
                                Missing("network", name, lab.Networks.Select(k => k.Name))
                            ))
                )
            )
            .Concat(
                host.Wires.Bridges.GroupBy(b => b.Name, StringComparer.Ordinal)
                    .Where(g => g.Count() > 1)
                    .Select(g => new Problem("bridges", $"{host.Name} has two bridges called «{g.Key}»."))
            );

    private static IEnumerable<Problem> LegProblems(Lab lab, ValueList<Leg> legs) =>
        legs.Select((l, n) => (l.Network, n))
            .Where(l => lab.Network(l.Network) is null)
            .Select(l => new Problem($"interfaces[{l.n}].network", Missing("network", l.Network, lab.Networks.Select(k => k.Name))))
            .Concat(
                legs.GroupBy(l => l.Network, StringComparer.Ordinal)
                    .Where(g => g.Count() > 1)
                    .Select(g => new Problem("interfaces", $"It is on «{Names.Short(g.Key)}» twice; once is all that can be planned."))
            );

    private static IEnumerable<Problem> NetworkProblems(Network network)
    {
        var prefix = Prefix.Read(network.Prefix);
        if (IpText.Read(network.Gateway) is { } gateway && prefix is not null && !prefix.MayBeHost(gateway))
        {
            yield return new Problem("gateway", $"{network.Gateway} is no address for a router in {network.Prefix}.");
        }

        if (
            AddressRange.Read(network.HandedOut) is { } range
            && prefix is not null
            && (range.Family != prefix.Family || range.First < prefix.First || range.Last > prefix.Last)
        )
        {
            yield return new Problem("handed-out", $"{network.HandedOut} is not within {network.Prefix}.");
        }
    }

    private static IEnumerable<Problem> EndProblems(Lab lab, ShareEnd end)
    {
        if (new[] { end.Guest?.Value, end.Host?.Value, end.Box }.Count(e => e is not null) != 1)
        {
            yield return new Problem("from", "A share lies in one of guest, host and box: name exactly one.");
            yield break;
        }

        foreach (var problem in GuestThere(lab, "from.guest", end.Guest))
        {
            yield return problem;
        }

        if (end.Host is { } host && lab.Host(host) is null)
        {
            yield return new Problem("from.host", Missing("host", host.Value, lab.Hosts.Select(h => h.Name)));
        }

        if (end.Box is { } box && lab.Boxes.All(b => b.Name != box))
        {
            yield return new Problem("from.box", Missing("box", box, lab.Boxes.Select(b => b.Name)));
        }
    }

    internal static IEnumerable<Problem> GuestThere(Lab lab, string member, GuestId? id) =>
        id is { } known && lab.Guest(known) is null
            ? [new Problem(member, Missing("guest", known.Value, lab.Guests.Select(g => g.Name)))]
            : [];

    internal static string Missing(string what, string name, IEnumerable<string> there)
    {
        var known = there.Take(12).ToList();
        return known.Count == 0
            ? $"There is no {what} called «{Names.Short(name)}»; there is none yet."
            : $"There is no {what} called «{Names.Short(name)}»; there {(known.Count == 1 ? "is" : "are")} {string.Join(", ", known)}.";
    }

    internal static IEnumerable<Problem> Each<T>(
        ValueList<T> things,
        string list,
        Shape<T> shape,
        Func<T, string> key,
        string what,
        Func<T, IEnumerable<Problem>> more
    )
    {
        var seen = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        for (var n = 0; n < things.Count; n++)
        {
            var own = shape.Problems(things[n]).ToList();
            if (own.Count == 0)
            {
                own.AddRange(more(things[n]));
            }

            if (!seen.Add(key(things[n])))
            {
                own.Add(new Problem("", $"There is already a {what} «{Names.Short(key(things[n]))}»."));
            }

            foreach (var problem in own)
            {
                yield return problem.Below($"{list}[{n}]");
            }
        }
    }
}
