using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Edits;

/// <summary>Changes to what is said of where guests may be, and to hosts that could be bought.</summary>
public static class PlaceEdits
{
    /// <summary>Adds a host that could be bought, or says another price or size of it.</summary>
    public static Edit Offer(HostOffer offer) =>
        lab =>
        {
            Problem.Refuse(OfferShapes.Offer.Problems(offer));
            var others = lab.Offers.Without(o => Same(o.Name, offer.Name));
            return others.Count >= LabShapes.MostOffers
                    ? throw new Refused($"{LabShapes.MostOffers} offers are the most; take one out first.")
                : lab.Hosts.Any(h => Same(h.Name, offer.Name)) ? throw new Refused($"There is a host called {offer.Name} already.")
                : new Changed(
                    lab with
                    {
                        Offers = others.With(offer),
                    },
                    others.Count == lab.Offers.Count ? $"{offer.Name} offered" : $"the offer {offer.Name} changed"
                );
        };

    /// <summary>Takes an offer out.</summary>
    public static Edit DropOffer(string name) =>
        lab =>
            lab.Offers.Any(o => o.Name == name)
                ? new Changed(lab with { Offers = lab.Offers.Without(o => o.Name == name) }, $"the offer {name} taken out")
                : throw new Refused($"There is no offer «{Names.Short(name)}».");

    /// <summary>Makes an offer a host of the lab: it is to be bought.</summary>
    public static Edit Buy(string name) =>
        lab =>
        {
            var offer = lab.Offers.FirstOrDefault(o => o.Name == name) ?? throw new Refused($"There is no offer «{Names.Short(name)}».");
            return lab.Hosts.Count >= LabShapes.MostHosts
                ? throw new Refused($"A lab holds {LabShapes.MostHosts} hosts at most.")
                : new Changed(
                    lab with
                    {
                        Hosts = lab.Hosts.With(offer.AsHost(lab)),
                        Offers = lab.Offers.Without(o => o.Name == name),
                    },
                    $"{name} is to be bought"
                );
        };

    /// <summary>Says of a guest where it may be.</summary>
    /// <param name="id">The guest.</param>
    /// <param name="pinned">Whether it stays where it is.</param>
    /// <param name="survives">Whether it keeps running with any one host away.</param>
    /// <param name="apart">Guests it keeps apart from, by name.</param>
    /// <param name="together">Guests it keeps together with, by name.</param>
    /// <param name="mayBe">Other packagings it may have.</param>
    public static Edit Say(
        GuestId id,
        bool pinned,
        bool survives,
        IEnumerable<string> apart,
        IEnumerable<string> together,
        IEnumerable<GuestKind> mayBe
    ) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            ValueList<GuestId> Called(IEnumerable<string> names) =>
                [
                    .. names
                        .Select(n =>
                            lab.Guests.FirstOrDefault(g => Same(g.Name, n)) is not { } other
                                ? throw new Refused($"There is no guest called «{Names.Short(n)}».")
                            : other.Id == id ? throw new Refused($"{guest.Name} cannot keep apart from itself, nor be without itself.")
                            : other.Id
                        )
                        .Distinct(),
                ];
            var (away, near) = (Called(apart), Called(together));
            return away.FirstOrDefault(near.Contains) is { Value: not null } both
                ? throw new Refused($"{guest.Name} cannot keep both apart from {lab.Guest(both)!.Name} and together with it.")
                : GuestEdits.Change(
                    id,
                    g =>
                        g with
                        {
                            Pinned = pinned,
                            Survives = survives,
                            Apart = away,
                            Together = near,
                            MayBe = [.. mayBe.Where(k => k != g.Kind).Distinct()],
                        }
                )(lab);
        };

    /// <summary>Says whether a guest is to keep running with any one host away.</summary>
    public static Edit Survives(GuestId id, bool survives) => GuestEdits.Change(id, g => g with { Survives = survives });

    /// <summary>A lab whose guests keep apart from, and together with, guests that are there.</summary>
    internal static Lab Without(Lab lab, HashSet<GuestId> guests)
    {
        bool Gone(GuestId id) => !guests.Contains(id);
        return lab with
        {
            Guests = lab.Guests.Change(
                g => g.Apart.Any(Gone) || g.Together.Any(Gone),
                g => g with { Apart = g.Apart.Without(Gone), Together = g.Together.Without(Gone) }
            ),
        };
    }

    private static bool Same(string a, string b) => string.Equals(a, b, StringComparison.OrdinalIgnoreCase);
}
