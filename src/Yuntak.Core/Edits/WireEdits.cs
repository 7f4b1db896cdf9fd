using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Edits;

/// <summary>Changes to networks and to who is on them at which address.</summary>
public static class WireEdits
{
    /// <summary>Adds a network.</summary>
    public static Edit AddNetwork(Network network) =>
        lab => Checked(lab, lab with { Networks = lab.Networks.With(network) }, $"network {network.Name} planned{In(network)}");

    /// <summary>Changes a network. Where its name changes, everything on it follows, and keeps its hardware addresses.</summary>
    public static Edit ChangeNetwork(string name, Func<Network, Network> change) =>
        lab =>
        {
            var before = Existing(lab, name);
            var after = change(before);
            var with = after.Name == name ? lab : Renamed(lab, name, after.Name);
            return Checked(
                lab,
                with with
                {
                    Networks = with.Networks.Change(n => n.Name == name, _ => after),
                },
                before == after ? $"network {name}: nothing changed" : $"network {name} changed"
            );
        };

    /// <summary>Takes a network out, and everything off it.</summary>
    public static Edit RemoveNetwork(string name) =>
        lab =>
        {
            Existing(lab, name);
            var off = lab.Guests.Count(g => g.Interfaces.Any(l => l.Network == name));
            return Checked(
                lab,
                Without(lab with { Networks = lab.Networks.Without(n => n.Name == name) }),
                $"network {name} removed{(off > 0 ? $", {Units.Numbers.Count(off, "guest")} taken off it" : "")}"
            );
        };

    /// <summary>Plans the networks that hosts were found on, each with the addresses read around it.</summary>
    public static Edit TakeReadNetworks() =>
        lab =>
        {
            var found = NetworkProposal.Of(lab);
            return found.Count == 0
                ? throw new Refused("No host was read with an address, so there is no network to take over.")
                : Checked(
                    lab,
                    lab with
                    {
                        Networks = [.. lab.Networks, .. found],
                    },
                    $"{string.Join(" and ", found.Select(n => $"network {n.Name}, {n.Prefix}"))} as it was read"
                );
        };

    /// <summary>Adds or changes a host's own place on a network.</summary>
    public static Edit HostLeg(HostId id, Leg leg) =>
        lab =>
        {
            var host = lab.Host(id) ?? throw new Refused("That host is no longer in the lab.");
            return Checked(
                lab,
                lab.WithHost(
                    id,
                    h => h with { Wires = h.Wires with { Interfaces = [.. h.Wires.Interfaces.Where(l => l.Network != leg.Network), leg] } }
                ),
                $"{host.Name} on {leg.Network}{(leg.Address is null ? "" : $" at {leg.Address}")}"
            );
        };

    /// <summary>Plans a bridge on a host, in the place of one of the same name.</summary>
    public static Edit Bridge(HostId id, PlannedBridge bridge) =>
        lab =>
        {
            var host = lab.Host(id) ?? throw new Refused("That host is no longer in the lab.");
            return Checked(
                lab,
                lab.WithHost(
                    id,
                    h => h with { Wires = h.Wires with { Bridges = [.. h.Wires.Bridges.Where(b => b.Name != bridge.Name), bridge] } }
                ),
                $"{host.Name}: bridge {bridge.Name}{(bridge.Port is null ? ", private" : $" on {bridge.Port}")}"
            );
        };

    /// <summary>Takes a planned bridge out.</summary>
    public static Edit RemoveBridge(HostId id, string name) =>
        lab =>
        {
            var host = lab.Host(id) ?? throw new Refused("That host is no longer in the lab.");
            return host.Wires.Bridges.All(b => b.Name != name)
                ? throw new Refused($"{host.Name} has no planned bridge «{Names.Short(name)}».")
                : Checked(
                    lab,
                    lab.WithHost(id, h => h with { Wires = h.Wires with { Bridges = h.Wires.Bridges.Without(b => b.Name == name) } }),
                    $"{host.Name}: bridge {name} no longer planned"
                );
        };

    /// <summary>A lab whose networks are called as in another where only their names differ: a new name is no work.</summary>
    internal static Lab WithNetworksCalledAsIn(Lab lab, Lab other)
    {
        foreach (var network in lab.Networks.Where(n => n.Prefix is not null && other.Network(n.Name) is null))
        {
            if (
                other.Networks.FirstOrDefault(o => o.Prefix == network.Prefix && o.Tag == network.Tag && lab.Network(o.Name) is null) is
                { } renamed
            )
            {
                lab = Renamed(lab, network.Name, renamed.Name) with
                {
                    Networks = lab.Networks.Change(n => n.Name == network.Name, n => n with { Name = renamed.Name }),
                };
            }
        }

        return lab;
    }

    /// <summary>A lab without what names something that is gone. A way in whose reverse proxy is gone goes too, so that nothing is opened past it.</summary>
    internal static Lab Without(Lab lab)
    {
        var guests = lab.Guests.Select(g => g.Id).ToHashSet();
        var networks = lab.Networks.Select(n => n.Name).ToHashSet(StringComparer.Ordinal);
        ValueList<NetworkShare> shares =
        [
            .. lab.Shares.Where(s =>
                (s.From.Guest is not { } g || guests.Contains(g))
                && (s.From.Host is not { } h || lab.Host(h) is not null)
                && (s.From.Box is not { } b || lab.Boxes.Any(k => k.Name == b))
            ),
        ];
        // What is shared no longer is copied no longer.
        lab = KeepingEdits.Without(PlaceEdits.Without(lab with { Shares = shares }, guests));
        var shared = shares.Select(s => s.Name).ToHashSet(StringComparer.Ordinal);
        ValueList<Leg> Kept(ValueList<Leg> legs) => [.. legs.Where(l => networks.Contains(l.Network))];
        return lab with
        {
            Forwards = [.. lab.Forwards.Where(f => guests.Contains(f.To) && (f.Through is not { } t || guests.Contains(t)))],
            Sites = lab.Sites.Change(s => s.Tunnel is { } t && !guests.Contains(t), s => s with { Tunnel = null }),
            Guests = lab.Guests.Change(
                g => g.Interfaces.Any(l => !networks.Contains(l.Network)) || g.Mounts.Any(m => !shared.Contains(m.Share)),
                g => g with { Interfaces = Kept(g.Interfaces), Mounts = [.. g.Mounts.Where(m => shared.Contains(m.Share))] }
            ),
            Hosts = lab.Hosts.Change(
                h =>
                    h.Wires.Interfaces.Any(l => !networks.Contains(l.Network))
                    || h.Wires.Bridges.Any(b => b.Networks.Any(n => !networks.Contains(n))),
                h =>
                    h with
                    {
                        Wires = h.Wires with
                        {
                            Interfaces = Kept(h.Wires.Interfaces),
                            Bridges = h.Wires.Bridges.Change(
                                _ => true,
                                b => b with { Networks = [.. b.Networks.Where(networks.Contains)] }
                            ),
                        },
                    }
            ),
        };
    }

    /// <summary>A changed lab, when nothing is wrong with its own lists of wires and with what the change touched.</summary>
    /// <exception cref="Refused">Something is.</exception>
    internal static Changed Checked(Lab before, Lab after, string words)
    {
        var same = before.Guests.ToHashSet<Guest>(ReferenceEqualityComparer.Instance);
        Problem.Refuse(
            (WireChecks.Same(before, after) && before.Hosts == after.Hosts ? [] : WireChecks.Problems(after))
                .Concat(
                    after
                        .Guests.Where(g => !same.Contains(g))
                        .SelectMany(g => WireChecks.Problems(after, g).Concat(GuestShapes.Guest.Problems(g)))
                )
                .Concat(after.Hosts.SelectMany(h => WireShapes.Wires.Problems(h.Wires)))
        );
        return new Changed(after, words);
    }

    internal static Network Existing(Lab lab, string name) =>
        lab.Network(name) ?? throw new Refused($"There is no network «{Names.Short(name)}».");

    private static string In(Network network) => network.Prefix is null ? "" : $", {network.Prefix}";

    private static Lab Renamed(Lab lab, string from, string to)
    {
        ValueList<Leg> Legs(ValueList<Leg> legs, Func<Leg, string?> mac) =>
            legs.Change(l => l.Network == from, l => l with { Network = to, Mac = mac(l) });
        return lab with
        {
            Guests = lab.Guests.Change(
                g => g.Interfaces.Any(l => l.Network == from),
                g => g with { Interfaces = Legs(g.Interfaces, l => Macs.Of(g, l)) }
            ),
            Hosts = lab.Hosts.Change(
                h => h.Wires != HostWires.None,
                h =>
                    h with
                    {
                        Wires = h.Wires with
                        {
                            Interfaces = Legs(h.Wires.Interfaces, l => l.Mac),
                            Bridges = h.Wires.Bridges.Change(
                                b => b.Networks.Contains(from),
                                b => b with { Networks = [.. b.Networks.Select(n => n == from ? to : n)] }
                            ),
                        },
                    }
            ),
        };
    }
}
