using Yuntak.Core.Base;
using Yuntak.Core.Devices;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Arranging;

/// <summary>Takes an arrangement over, all of it or a part, as one change.</summary>
public static class ArrangeEdits
{
    private const int MostNamed = 4;

    /// <summary>All that an arrangement changes.</summary>
    public static IReadOnlyList<ArrangeTake> All(Arrangement arrangement) =>
        [
            .. arrangement.Changes.Select(c => new ArrangeTake(c.Guest.Id, c.Place, c.Kind)),
            .. arrangement.TakenOff.Select(g => new ArrangeTake(g.Id, null, g.Kind)),
        ];

    /// <summary>The change. Devices stay in their hosts: what a guest needs is met on its new host where it can be.</summary>
    /// <param name="takes">What is accepted.</param>
    /// <param name="offers">The offers that are bought for it, by name.</param>
    public static Edit Accept(IReadOnlyList<ArrangeTake> takes, IReadOnlyList<string>? offers = null) =>
        lab =>
        {
            if (takes.Count == 0 && offers is null or { Count: 0 })
            {
                throw new Refused("Nothing is chosen, so nothing was changed.");
            }

            List<string> words = [];
            foreach (var offer in offers ?? [])
            {
                var bought = PlaceEdits.Buy(offer)(lab);
                lab = bought.Lab;
                words.Add(bought.Sentence);
            }

            HashSet<GuestId> moved = [];
            foreach (var take in takes)
            {
                var guest = GuestEdits.Existing(lab, take.Guest);
                words.AddRange(Words(lab, guest, take));
                if (take.Place?.Host != guest.Placement?.Host || take.Kind != guest.Kind || guest.RunsIn is not null)
                {
                    moved.Add(guest.Id);
                }

                lab = lab.WithGuest(guest.Id, g => Taken(g, take));
                Problem.Refuse(GuestChecks.Problems(lab, lab.Guest(guest.Id)!));
            }

            return new Changed(
                WithDevices(lab, moved),
                words.Count == 0 ? "arranged: nothing changed"
                    : words.Count <= MostNamed ? $"arranged: {string.Join(", ", words)}"
                    : $"arranged: {string.Join(", ", words.Take(MostNamed - 1))} and {words.Count - MostNamed + 1} more"
            );
        };

    private static Guest Taken(Guest guest, ArrangeTake take) =>
        (take.Place?.Host == guest.Placement?.Host && take.Kind == guest.Kind ? guest : SeatMaker.Packaged(guest, take.Kind)) with
        {
            Placement = take.Place,
            RunsIn = null,
        };

    private static IEnumerable<string> Words(Lab lab, Guest guest, ArrangeTake take)
    {
        var (from, to) = (lab.HostOf(guest), lab.Host(take.Place?.Host));
        if (take.Place is not null && to is null)
        {
            throw new Refused($"The host {guest.Name} was to go to is no longer in the lab.");
        }

        if (take.Kind != guest.Kind)
        {
            yield return $"{guest.Name} {Names.A(take.Kind.Words())}";
        }

        if (to is null)
        {
            yield return $"{guest.Name} taken off {from?.Name}";
        }
        else if (from is null)
        {
            yield return $"{guest.Name} put on {to.Name}";
        }
        else if (from.Id != to.Id)
        {
            yield return $"{guest.Name} moved {from.Name} → {to.Name}";
        }
        else if (take.Kind == guest.Kind && take.Place != guest.Placement)
        {
            yield return $"volumes of {guest.Name} to {string.Join(" and ", new[] { take.Place!.SystemPool, take.Place.BulkPool }.OfType<string>().Distinct())}";
        }
    }

    /// <summary>The lab with devices for those that came to a host, where they can be had beside what others have.</summary>
    private static Lab WithDevices(Lab lab, HashSet<GuestId> moved)
    {
        var theirs = lab.Guests.Where(g => moved.Contains(g.Id) && lab.HostOf(g) is not null && GuestClaims.Of(lab, g).Count > 0).ToList();
        if (theirs.Count == 0)
        {
            return lab;
        }

        var hosts = theirs.Select(g => lab.HostOf(g)!.Id).ToHashSet();
        var assigned = DeviceAssignment.Of(lab, [.. lab.Hosts.Where(h => hosts.Contains(h.Id)).Select(h => new HostDevices(lab, h))]);
        return DeviceAssignment.With(lab, assigned.ToTake.Where(v => moved.Contains(v.Guest.Id)));
    }
}
