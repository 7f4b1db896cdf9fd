using System.Net;
using Yuntak.Core.Addresses;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Wires;

/// <summary>What the outside reaches, and by which way.</summary>
internal static class Reach
{
    /// <summary>The profile of a tunnel.</summary>
    public const string Tunnel = "remote-access";

    /// <summary>Everything that is reached from outside: through forwards, and what stands on the provider's side itself.</summary>
    public static IEnumerable<WayIn> Of(HouseWires wires, IReadOnlyList<Sizing> sizings)
    {
        var byGuest = sizings.ToDictionary(s => s.Guest.Id);
        var router = wires.Lab.Forwards.Count > 0 ? wires.RouterName : null;
        foreach (var forward in wires.Lab.Forwards)
        {
            if (byGuest.TryGetValue(forward.To, out var to))
            {
                yield return Through(wires, forward, to, byGuest, router);
            }
        }

        foreach (var sizing in sizings.Where(s => !s.Follows(ProfileBook.Router)))
        {
            foreach (var leg in sizing.Guest.Interfaces.Where(l => wires.Lab.Network(l.Network)?.Purpose == NetworkPurpose.Outside))
            {
                // Behind another router a private address is reached by that router's forwards only.
                if (IpText.Read(leg.Address) is { } address && Prefix.IsPrivateAddress(address))
                {
                    continue;
                }

                foreach (var port in wires.Ports.Where(p => p.Who == Holder.Of(sizing.Guest)))
                {
                    var isTunnel = sizing.Follows(Tunnel) && port.Protocol == WireProtocol.Udp;
                    yield return new(
                        sizing.Guest,
                        port.Port,
                        ["outside", sizing.Guest.Name],
                        !port.Encrypted && !isTunnel,
                        port.Login,
                        port.Page,
                        isTunnel,
                        Answers: true,
                        null
                    );
                }
            }
        }
    }

    /// <summary>What passes a forward on: the router among the guests that stands on the provider's side, else the box that is the gateway.</summary>
    public static string? RouterName(HouseWires wires) =>
        wires
            .Routers.FirstOrDefault(r => r.Guest.Interfaces.Any(l => wires.Lab.Network(l.Network)?.Purpose == NetworkPurpose.Outside))
            ?.Guest.Name
        ?? GatewayBox(wires)?.Name
        ?? wires.Routers.FirstOrDefault()?.Guest.Name;

    private static Box? GatewayBox(HouseWires wires)
    {
        var gateways = wires.Lab.Networks.Select(n => n.Gateway).OfType<string>().ToHashSet(StringComparer.Ordinal);
        return wires.Lab.Boxes.FirstOrDefault(b => b.Addresses.Any(gateways.Contains));
    }

    private static WayIn Through(HouseWires wires, Forward forward, Sizing to, Dictionary<GuestId, Sizing> byGuest, string? router)
    {
        var heard = wires.PortsOfGuest(to.Guest.Id).FirstOrDefault(p => p.Port == forward.ToPort && p.Protocol == forward.Protocol);
        var proxy = forward.Through is { } id ? byGuest.GetValueOrDefault(id) : null;
        var isTunnel = proxy is null && to.Follows(Tunnel) && forward.Protocol == WireProtocol.Udp;
        var encrypted = proxy is not null
            ? forward.Certificate is CertificateKind.Own or CertificateKind.Public
            : isTunnel || (heard?.Encrypted ?? WellKnown.IsEncrypted(forward.ToPort, forward.Protocol));
        List<string> path = [$"outside:{forward.FromPort}"];
        if (router is not null)
        {
            path.Add(router);
        }

        if (proxy is not null)
        {
            path.Add(proxy.Guest.Name);
        }

        path.Add($"{to.Guest.Name}:{forward.ToPort}");
        return new(
            to.Guest,
            forward.ToPort,
            path,
            !encrypted,
            isTunnel ? true : heard?.Login,
            heard?.Page ?? false,
            isTunnel,
            heard is not null,
            forward
        );
    }
}
