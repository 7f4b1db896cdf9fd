using System.Net;
using Yuntak.Core.Addresses;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Wires;

/// <summary>The networks of a lab, with who has which address, who answers where, and what the outside reaches. Each part is worked out when somebody asks.</summary>
public sealed class HouseWires
{
    private readonly IReadOnlyList<Sizing> sizings;
    private readonly Once<IReadOnlyList<NetworkSums>> networks;
    private readonly Once<Dictionary<Holder, IPAddress>> addresses;
    private readonly Once<string?> routerName;
    private readonly Once<IReadOnlyList<HeardPort>> ports;
    private readonly Once<ILookup<string, HeardPort>> portsOfGuests;
    private readonly Once<IReadOnlyList<PortClash>> clashes;
    private readonly Once<IReadOnlyList<WayIn>> waysIn;
    private readonly Once<IReadOnlyList<LinkUse>> links;
    private readonly Once<ILookup<HostId, HostBridge>> bridges;

    /// <param name="lab">The lab.</param>
    /// <param name="sizings">Its guests, sized.</param>
    internal HouseWires(Lab lab, IReadOnlyList<Sizing> sizings)
    {
        (Lab, this.sizings) = (lab, sizings);
        networks = new(Addresses);
        addresses = new(FirstAddresses);
        routerName = new(() => Reach.RouterName(this));
        ports = new(() => [.. PortsOf.All(lab, sizings)]);
        portsOfGuests = new(() => Ports.Where(p => p.Who.Kind == HolderKind.Guest).ToLookup(p => p.Who.Id, StringComparer.Ordinal));
        clashes = new(() => PortClashes.Among(Ports));
        waysIn = new(() => [.. Reach.Of(this, sizings)]);
        links = new(() => [.. LinkSums.Of(this, sizings)]);
        bridges = new(() => lab.Hosts.SelectMany(h => HostBridge.Of(lab, h)).ToLookup(b => b.Host.Id));
    }

    /// <summary>The lab.</summary>
    public Lab Lab { get; }

    /// <summary>Every network, in the lab's order.</summary>
    public IReadOnlyList<NetworkSums> Networks => networks.Value;

    /// <summary>Every port that something answers on.</summary>
    public IReadOnlyList<HeardPort> Ports => ports.Value;

    /// <summary>Those of one guest.</summary>
    internal IEnumerable<HeardPort> PortsOfGuest(GuestId id) => portsOfGuests.Value[id.Value];

    /// <summary>Ports that several want.</summary>
    public IReadOnlyList<PortClash> Clashes => clashes.Value;

    /// <summary>What is reached from outside.</summary>
    public IReadOnlyList<WayIn> WaysIn => waysIn.Value;

    /// <summary>What runs over each link in its busiest hour.</summary>
    public IReadOnlyList<LinkUse> Links => links.Value;

    /// <summary>The network of that name with its sums, if there is one.</summary>
    public NetworkSums? Network(string? name) => Networks.FirstOrDefault(n => n.Network.Name == name);

    /// <summary>The bridges of a host.</summary>
    public IEnumerable<HostBridge> BridgesOf(HostId host) => bridges.Value[host];

    /// <summary>The bridge a place on a network hangs on: the one named, else the one that carries the network; null where there is none.</summary>
    public HostBridge? BridgeOf(Host? host, Leg leg) =>
        host is null ? null
        : leg.Bridge is { } named ? BridgesOf(host.Id).FirstOrDefault(b => b.Name == named)
        : BridgesOf(host.Id).FirstOrDefault(b => b.Networks.Any(n => n.Name == leg.Network));

    /// <summary>The routers among the guests that are on a host.</summary>
    public IEnumerable<Sizing> Routers => sizings.Where(s => s.Follows(ProfileBook.Router) && Lab.HostOf(s.Guest) is not null);

    /// <summary>The first address of a guest, or of what runs it where it has none of its own; null while none is known.</summary>
    public IPAddress? AddressOf(Guest guest) => AddressOf(PortsOf.StackOf(Lab, guest));

    /// <summary>The first address somebody holds; null while none is known.</summary>
    public IPAddress? AddressOf(Holder? holder) => holder is null ? null : addresses.Value.GetValueOrDefault(holder);

    /// <summary>What passes a forward on: the router among the guests that stands on the provider's side, else the box that is the gateway; null where there is none.</summary>
    public string? RouterName => routerName.Value;

    /// <summary>The reservations that the place that hands out addresses needs: of guests on a host, of hosts and boxes, on networks of that school.</summary>
    public IEnumerable<Reservation> Reservations =>
        Networks
            .SelectMany(n => n.Held)
            .Where(h => h is { How: AddressHow.Reserved, Address: not null, Mac: not null } && IsThere(h.Who))
            .Select(h => new Reservation(h.Address!.ToString(), h.Mac!, Base.Names.Slug(h.Who.Name)));

    private bool IsThere(Holder who) =>
        who.Kind != HolderKind.Guest || Lab.Guest(new GuestId(who.Id)) is { } guest && Lab.HostOf(guest) is not null;

    private Dictionary<Holder, IPAddress> FirstAddresses()
    {
        Dictionary<Holder, IPAddress> first = [];
        // A router is known by its inside.
        foreach (var held in Networks.OrderBy(n => n.Network.Purpose == NetworkPurpose.Outside).SelectMany(n => n.Held))
        {
            if (held.Address is { } address)
            {
                first.TryAdd(held.Who, address);
            }
        }

        return first;
    }

    private NetworkSums[] Addresses()
    {
        var held = Lab.Networks.ToDictionary(n => n.Name, _ => new List<HeldAddress>(), StringComparer.Ordinal);
        // Read once: there may be thousands of addresses to lay into them.
        var prefixes = Lab.Networks.Select(n => (Network: n, Prefix: Prefix.Read(n.Prefix))).ToList();
        foreach (var host in Lab.Hosts)
        {
            Add(held, host, prefixes);
        }

        foreach (var guest in Lab.Guests)
        {
            foreach (var leg in guest.Interfaces)
            {
                if (Lab.Network(leg.Network) is { } network)
                {
                    held[network.Name]
                        .Add(new(network, Holder.Of(guest), HowOf(network, leg), IpText.Read(leg.Address), Macs.Of(guest, leg)));
                }
            }
        }

        foreach (var box in Lab.Boxes)
        {
            foreach (var address in box.Addresses.Select(IpText.Read).OfType<IPAddress>())
            {
                foreach (var network in prefixes.Where(n => n.Prefix?.Contains(address) == true).Select(n => n.Network))
                {
                    held[network.Name]
                        .Add(new(network, Holder.Of(box), box.Mac is null ? AddressHow.Fixed : AddressHow.Reserved, address, box.Mac));
                }
            }
        }

        return
        [
            .. Lab.Networks.Select(n => new NetworkSums(
                n,
                [.. held[n.Name].OrderBy(h => h.Address is null).ThenBy(h => h.Address is { } a ? IpText.Number(a) : 0)]
            )),
        ];
    }

    /// <summary>A host's own places: those planned and, on networks it has no plan for, those read.</summary>
    private void Add(Dictionary<string, List<HeldAddress>> held, Host host, List<(Network Network, Prefix? Prefix)> prefixes)
    {
        var who = Holder.Of(host);
        foreach (var leg in host.Wires.Interfaces)
        {
            if (Lab.Network(leg.Network) is { } network)
            {
                held[network.Name]
                    .Add(new(network, who, HowOf(network, leg), IpText.Read(leg.Address), leg.Mac ?? host.ManagementPort?.Mac));
            }
        }

        var read = host.Hardware.Bridges.SelectMany(b => b.Addresses).Concat(host.Hardware.Ports.SelectMany(p => p.Addresses));
        foreach (var address in read.Select(a => IpText.Read(a.Split('/')[0])).OfType<IPAddress>().Distinct())
        {
            foreach (
                var network in prefixes
                    .Where(n => n.Prefix?.Contains(address) == true && host.Wires.Interfaces.All(l => l.Network != n.Network.Name))
                    .Select(n => n.Network)
            )
            {
                var how =
                    host.AddressFixed == true ? AddressHow.Fixed
                    : host.AddressFixed == false || AddressRange.Read(network.HandedOut)?.Contains(address) == true ? AddressHow.HandedOut
                    : AddressHow.Fixed;
                held[network.Name].Add(new(network, who, how, address, host.ManagementPort?.Mac, WasRead: true));
            }
        }
    }

    private static AddressHow HowOf(Network network, Leg leg) =>
        leg.Address is null ? AddressHow.HandedOut
        // The router is at its address before anything is handed out.
        : network.Addresses == AddressSchool.Reserved && leg.Address != network.Gateway ? AddressHow.Reserved
        : AddressHow.Fixed;
}
