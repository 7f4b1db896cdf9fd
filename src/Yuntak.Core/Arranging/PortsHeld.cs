using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Wants;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Arranging;

/// <summary>Ports at the addresses of hosts: an app stack without a place of its own on a network answers there, beside the host and other such stacks.</summary>
internal sealed class PortsHeld(Sums sums)
{
    private readonly Dictionary<HostId, IReadOnlyList<(int Port, WireProtocol Protocol, string Address)>> hosts = [];

    /// <summary>What the host answers on itself and a guest wants.</summary>
    public IEnumerable<FitLimit> Limits(Sizing guest, Host host) =>
        AtHost(guest)
            ? Of(guest)
                .Where(p => Own(host).Any(o => Clash(o, p)))
                .Select(p => new FitLimit(
                    $"{host.Name} itself answers on port {p.Port}, which {guest.Guest.Name} wants",
                    $"{guest.Guest.Name} on another port"
                ))
                .Take(1)
            : [];

    /// <summary>Whether two guests on one host would want the same port of it.</summary>
    public static bool Clash(Sizing a, Sizing b) => AtHost(a) && AtHost(b) && Of(a).Any(p => Of(b).Any(o => Clash(o, p)));

    private static bool AtHost(Sizing guest) => guest.Guest.Kind == GuestKind.AppStack && guest.Guest.Interfaces.Count == 0;

    private static bool Clash((int Port, WireProtocol Protocol, string Address) a, (int Port, WireProtocol Protocol, string Address) b) =>
        a.Port == b.Port && a.Protocol == b.Protocol && PortClashes.Meet(a.Address, b.Address);

    private static IEnumerable<(int Port, WireProtocol Protocol, string Address)> Of(Sizing guest) =>
        PortsOf.Said(guest).Select(l => (l.Port, l.Protocol, PortClashes.Plain(l.Address ?? "*")));

    private IReadOnlyList<(int Port, WireProtocol Protocol, string Address)> Own(Host host)
    {
        if (!hosts.TryGetValue(host.Id, out var own))
        {
            var who = Holder.Of(host);
            hosts[host.Id] = own = [
                .. sums
                    .Wires.Ports.Where(p => p.Who == who && p.Stack == who)
                    .Select(p => (p.Port, p.Protocol, PortClashes.Plain(p.Address))),
            ];
        }

        return own;
    }
}
