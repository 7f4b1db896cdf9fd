using System.Net;
using Yuntak.Core.Addresses;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Edits;

/// <summary>Changes to guests' places on networks.</summary>
public static class LegEdits
{
    /// <summary>Puts a guest on a network, at an address or at the next free one.</summary>
    /// <param name="id">The guest.</param>
    /// <param name="network">The network.</param>
    /// <param name="address">The address; null for the next free one, empty for one that is handed out.</param>
    public static Edit Join(GuestId id, string network, string? address = null) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            var sums = SumsOf(lab, network);
            if (guest.Interfaces.Any(l => l.Network == network))
            {
                throw new Refused($"{guest.Name} is on {network} already.");
            }

            var at = address is null ? Proposed(sums, guest)?.ToString() : Text(address);
            var with = lab.WithGuest(id, g => g with { Interfaces = g.Interfaces.With(new Leg(network, at)) });
            return WireEdits.Checked(
                lab,
                with,
                $"{guest.Name} on {network}{(at is null ? ", at an address that is handed out" : $" at {at}")}"
            );
        };

    /// <summary>Takes a guest off a network.</summary>
    public static Edit Leave(GuestId id, string network) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            LegOf(guest, network);
            return WireEdits.Checked(
                lab,
                lab.WithGuest(id, g => g with { Interfaces = g.Interfaces.Without(l => l.Network == network) }),
                $"{guest.Name} off {network}"
            );
        };

    /// <summary>Moves a guest from one network to another, at the next free address there.</summary>
    public static Edit Move(GuestId id, string from, string to) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            var leg = LegOf(guest, from);
            if (from == to)
            {
                return new Changed(lab, $"{guest.Name} stays on {to}");
            }

            if (guest.Interfaces.Any(l => l.Network == to))
            {
                throw new Refused($"{guest.Name} is on {to} already.");
            }

            var at = leg.Address is null ? null : Proposed(SumsOf(lab, to), guest)?.ToString();
            return WireEdits.Checked(
                lab,
                lab.WithGuest(
                    id,
                    g => g with { Interfaces = g.Interfaces.Change(l => l.Network == from, _ => new Leg(to, at, Macs.Of(guest, leg))) }
                ),
                $"{guest.Name}: {from} → {to}{(at is null ? "" : $", {leg.Address} → {at}")}"
            );
        };

    /// <summary>Changes a guest's place on a network.</summary>
    public static Edit ChangeLeg(GuestId id, string network, Func<Leg, Leg> change) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            var before = LegOf(guest, network);
            var after = change(before);
            var words =
                before.Address != after.Address ? $"{before.Address ?? "handed out"} → {after.Address ?? "handed out"}"
                : before == after ? "nothing changed"
                : $"{network} changed";
            return WireEdits.Checked(
                lab,
                lab.WithGuest(id, g => g with { Interfaces = g.Interfaces.Change(l => l.Network == network, _ => after) }),
                $"{guest.Name}: {words}"
            );
        };

    /// <summary>Gives a guest an address of a network; null for one that is handed out.</summary>
    public static Edit Address(GuestId id, string network, string? address) =>
        ChangeLeg(id, network, l => l with { Address = Text(address) });

    /// <summary>Gives a guest the next free address of a network, or the one of its number.</summary>
    public static Edit NextAddress(GuestId id, string network) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            var free =
                Proposed(SumsOf(lab, network), guest) ?? throw new Refused($"{network} has no free address outside what is handed out.");
            return Address(id, network, free.ToString())(lab);
        };

    /// <summary>Gives every guest on a network that has none an address that stays.</summary>
    public static Edit AddressAll(string network) =>
        lab =>
        {
            var waiting = lab.Guests.Where(g => g.Interfaces.Any(l => l.Network == network && l.Address is null)).ToList();
            if (waiting.Count == 0)
            {
                throw new Refused($"Every guest on {network} has an address that stays.");
            }

            var with = waiting.Aggregate(lab, (l, g) => NextAddress(g.Id, network)(l).Lab);
            return new Changed(with, $"{Units.Numbers.Count(waiting.Count, "address", "addresses")} of {network} given");
        };

    /// <summary>Puts every guest that has no place on any network yet, and needs one of its own, on a network.</summary>
    public static Edit JoinAll(string network) =>
        lab =>
        {
            var waiting = lab
                .Guests.Where(g => g.Interfaces.Count == 0 && g.Kind != Profiles.GuestKind.AppStack && lab.HostOf(g) is not null)
                .ToList();
            if (waiting.Count == 0)
            {
                throw new Refused("Every machine and system container on a host has a place on a network.");
            }

            var with = waiting.Aggregate(lab, (l, g) => Join(g.Id, network)(l).Lab);
            return new Changed(with, $"{string.Join(", ", waiting.Select(g => g.Name))} on {network}");
        };

    private static IPAddress? Proposed(NetworkSums sums, Guest guest) =>
        sums.Network.Numbered && guest.Number is { } number && sums.ForNumber(number) is { } own ? own : sums.NextFree;

    private static NetworkSums SumsOf(Lab lab, string network)
    {
        WireEdits.Existing(lab, network);
        // Who has which address needs no sizes.
        return new HouseWires(lab, []).Network(network)!;
    }

    private static Leg LegOf(Guest guest, string network) =>
        guest.Interfaces.FirstOrDefault(l => l.Network == network)
        ?? throw new Refused($"{guest.Name} is not on «{Names.Short(network)}».");

    /// <summary>An address as it is kept; nothing for none.</summary>
    /// <exception cref="Refused">It is none.</exception>
    private static string? Text(string? address) =>
        string.IsNullOrWhiteSpace(address) ? null
        : IpText.TryRead(address, out var ip) ? ip.ToString()
        : throw new Refused($"An address such as 10.40.7.20 belongs here, not «{Names.Short(Names.Clean(address))}».");
}
