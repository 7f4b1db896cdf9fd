using Yuntak.Core.Addresses;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>The settings of a router guest in the order that never leaves two routers at one address: inside first, at its console, then what is handed out, then the outside.</summary>
internal static class RouterSteps
{
    /// <summary>The values, one after the other; empty while its legs are not planned.</summary>
    public static ValueList<StepValue> Of(Plan plan, Guest guest)
    {
        var legs = guest
            .Interfaces.Select(l => (Leg: l, Network: plan.Draft.Network(l.Network)))
            .Where(l => l.Network is not null)
            .ToList();
        var inside = legs.Where(l => l.Network!.Purpose != NetworkPurpose.Outside).ToList();
        var outside = legs.Where(l => l.Network!.Purpose == NetworkPurpose.Outside).ToList();
        List<StepValue> steps = [];
        foreach (var (leg, network) in inside)
        {
            steps.Add(
                new(
                    $"{steps.Count + 1}. at its console, {network!.Name}",
                    $"{leg.Address ?? "its address"}{(Prefix.Read(network.Prefix) is { } p ? $"/{p.Length}" : "")}, before that leg is plugged in",
                    Literal: false
                )
            );
        }

        foreach (var (_, network) in inside.Where(l => l.Network!.HandedOut is not null))
        {
            steps.Add(
                new(
                    $"{steps.Count + 1}. hand out on {network!.Name}",
                    $"{network.HandedOut}, router {network.Gateway ?? "itself"}; only once nobody else hands out there"
                )
            );
        }

        foreach (var (leg, network) in outside)
        {
            steps.Add(new($"{steps.Count + 1}. outside, {network!.Name}", leg.Address ?? "handed out by the provider's side"));
            var isPrivate = IpText.Read(leg.Address) is { } address
                ? Prefix.IsPrivateAddress(address)
                : Prefix.Read(network.Prefix)?.IsPrivate == true;
            steps.Add(
                new(
                    $"{steps.Count + 1}. block private networks outside",
                    isPrivate ? "off: it stands behind another router" : "on, unless its outside address turns out to be private"
                )
            );
        }

        return [.. steps];
    }
}
