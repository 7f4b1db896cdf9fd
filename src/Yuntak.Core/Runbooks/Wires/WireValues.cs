using System.Globalization;
using Yuntak.Core.Addresses;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Exact values of a place on a network, as steps say them.</summary>
internal static class WireValues
{
    /// <summary>A place on a network: bridge, tag, hardware address, address with its length, router.</summary>
    public static ValueList<StepValue> Of(Plan plan, Leg leg, string? mac, Host? host)
    {
        var network = plan.Draft.Network(leg.Network);
        var bridge = plan.Sums.Wires.BridgeOf(host, leg);
        List<StepValue> values = [new("network", leg.Network)];
        if (bridge is not null || leg.Bridge is not null)
        {
            values.Add(new("bridge", bridge?.Name ?? leg.Bridge!, Literal: true));
        }

        if (network?.Tag is { } tag)
        {
            values.Add(new("tag", tag.ToString(CultureInfo.InvariantCulture), Literal: true));
        }

        if (mac is not null)
        {
            values.Add(new("hardware address", mac, Literal: true));
        }

        if (leg.Address is null)
        {
            values.Add(new("address", "handed out"));
            return [.. values];
        }

        var length = Prefix.Read(network?.Prefix)?.Length;
        values.Add(
            network?.Addresses == AddressSchool.Fixed
                ? new("address, set inside", $"{leg.Address}{(length is null ? "" : $"/{length}")}", Literal: true)
                : new("address, reserved", leg.Address, Literal: true)
        );
        if (network is { Addresses: AddressSchool.Fixed, Gateway: { } gateway } && gateway != leg.Address)
        {
            values.Add(new("router", gateway, Literal: true));
        }

        return [.. values];
    }

    /// <summary>All of a guest's places on networks, as values to type.</summary>
    public static IEnumerable<StepValue> Of(Plan plan, GuestId id) =>
        plan.Guest(id) is { } guest
            ? guest.Interfaces.SelectMany(l => Of(plan, l, Macs.Of(guest, l), plan.Draft.HostOf(guest) ?? plan.AsBuilt.HostOf(guest)))
            : [];

    /// <summary>The ports an app stack publishes, as values.</summary>
    public static IEnumerable<StepValue> Ports(Plan plan, GuestId id) =>
        plan.Guest(id) is { } guest
            ? guest.Listens.Select(l => new StepValue(
                "publish",
                $"{(l.Address is null ? "" : l.Address.Contains(':', StringComparison.Ordinal) ? $"[{l.Address}]:" : $"{l.Address}:")}{l.Port}:{l.Inside ?? l.Port}/{l.Protocol.Word()}",
                Literal: true
            ))
            : [];
}
