using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Something done with a guest that asks for no more than the guest and its host.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">The host it is done on; null while it is on none.</param>
internal abstract record GuestAct(GuestId Guest, HostId? Host) : Act
{
    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("guest", Guest.Value), Value("host", Host?.Value)];

    internal override HostId? On => Host;

    /// <inheritdoc/>
    internal override void Do(SimHouse house, Plan plan)
    {
        Affect(house, plan);
        if (house.GuestIf(Guest) is { } guest)
        {
            guest.Settled = guest.Settled.Add(Mark);
        }
    }

    /// <summary>What it does to the guest.</summary>
    /// <exception cref="HostRefuses">Its host refuses.</exception>
    internal abstract void Affect(SimHouse house, Plan plan);

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.Guest(Guest).Settled.Contains(Mark))];

    /// <summary>That it runs, at an address nobody else answers at, with its shares where it looks for them.</summary>
    private protected IEnumerable<Proof> Running(Plan plan)
    {
        yield return new Proof("", h => h.Guest(Guest).State == GuestState.Running);
        if (plan.Guest(Guest) is not { } guest)
        {
            yield break;
        }

        foreach (var leg in guest.Interfaces.Where(l => l.Address is not null))
        {
            yield return new Proof(
                $"From another machine, arping -c 3 {leg.Address} shows one hardware address only: {Macs.Of(guest, leg)}.",
                h => !h.TakenAddresses.Contains(leg.Address!)
            );
        }

        if (guest.Mounts.Count > 0)
        {
            yield return new Proof(
                $"findmnt shows {string.Join(", ", guest.Mounts.Select(m => m.Share))} mounted: a folder that is only empty is the one beneath.",
                h => !guest.Mounts.Any(m => h.SharesAway.Contains(m.Share))
            );
        }
    }

    /// <summary>That its backup is about as large as what it keeps.</summary>
    private protected Proof Whole() =>
        new("", h => h.Guest(Guest) is { } guest && guest.Backup is { } backup && backup.Bytes >= guest.Size.Bytes / 2);
}
