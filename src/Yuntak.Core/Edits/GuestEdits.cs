using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Edits;

/// <summary>Changes to guests.</summary>
public static class GuestEdits
{
    /// <summary>Adds a guest that is asked for. Its id is made from its name.</summary>
    public static Edit Add(Guest guest) =>
        lab =>
        {
            if (lab.Guests.Count >= LabShapes.MostGuests)
            {
                throw new Refused($"A lab holds {LabShapes.MostGuests} guests at most.");
            }

            var named = Sound(lab, guest with { Name = FreeName(lab, guest.Name, except: null) });
            var added = named with { Id = new GuestId(Names.IdFrom(named.Name, lab.Guests.Select(g => g.Id.Value))) };
            return new Changed(lab with { Guests = lab.Guests.With(added) }, $"{added.Name} asked for");
        };

    /// <summary>Changes what a guest is or how much it is given.</summary>
    public static Edit Change(GuestId id, Func<Guest, Guest> change) =>
        lab =>
        {
            var before = Existing(lab, id);
            var changed = change(before);
            var named = changed with { Id = id, Name = FreeName(lab, changed.Name, except: id) };
            var after = Sound(lab, NestingEdits.Settled(lab, before, named));
            var words = LabDifference.Words(lab, before, lab, after);
            var with = lab.WithGuest(id, _ => after);
            return new Changed(
                // What runs inside may want room now that its outer guest has no pool for yet, as when it was put in.
                after.RunsIn
                    is not null
                || with.GuestsIn(id).Any()
                    ? NestingEdits.WithRoomFor(with, after.RunsIn ?? id)
                    : with,
                words.Count == 0 ? $"{after.Name}: nothing changed" : $"{before.Name}: {string.Join(", ", words)}"
            );
        };

    /// <summary>Puts a guest on a host, choosing the pools for its volumes.</summary>
    public static Edit Place(GuestId id, HostId host) =>
        lab =>
        {
            var guest = Existing(lab, id);
            var target = lab.Host(host) ?? throw new Refused("That host is no longer in the lab.");
            if (guest.Placement?.Host == host && guest.RunsIn is null)
            {
                return new Changed(lab, $"{guest.Name} stays on {target.Name}");
            }

            var placement = VolumePlacement.Choose(lab, guest, target);
            var words =
                lab.Outer(guest) is { } outer ? $"{guest.Name} taken out of {outer.Name} and put on {target.Name}"
                : lab.Host(guest.Placement?.Host) is { } from ? $"{guest.Name} moved {from.Name} → {target.Name}"
                : $"{guest.Name} put on {target.Name}";
            // A device stays in its host: whoever moves away leaves it there.
            var left = !guest.HandedWhole.Any() ? "" : $", leaving {Numbers.Count(guest.HandedWhole.Count(), "device")} behind";
            return new Changed(lab.WithGuest(id, g => g.WithoutDevices() with { Placement = placement, RunsIn = null }), words + left);
        };

    /// <summary>Takes a guest off its host; it stays in the lab, asked for.</summary>
    public static Edit TakeOff(GuestId id) =>
        lab =>
        {
            var guest = Existing(lab, id);
            var host = lab.HostOf(guest);
            return host is null && guest.RunsIn is null
                ? new Changed(lab, $"{guest.Name} is on no host")
                : new Changed(
                    lab.WithGuest(id, g => g.WithoutDevices() with { Placement = null, RunsIn = null }),
                    $"{guest.Name} taken off {lab.Outer(guest)?.Name ?? host?.Name}"
                );
        };

    /// <summary>Puts a guest's volumes into other pools of its host.</summary>
    public static Edit UsePools(GuestId id, string? systemPool, string? bulkPool) =>
        lab =>
        {
            var guest = Existing(lab, id);
            var host = lab.Host(guest.Placement?.Host) ?? throw new Refused($"Put {guest.Name} on a host first; pools belong to hosts.");
            foreach (var pool in new[] { systemPool, bulkPool })
            {
                if (pool is not null && host.PoolNamed(pool) is null)
                {
                    throw new Refused($"{host.Name} has no pool called {pool}.");
                }
            }

            return Change(id, g => g with { Placement = new Placement(host.Id, systemPool, bulkPool) })(lab);
        };

    /// <summary>Takes one of a guest's wants out and makes it a guest of its own, where the first one is. Its figures follow the advice.</summary>
    public static Edit Split(GuestId id, int want) =>
        lab =>
        {
            var guest = Existing(lab, id);
            if (guest.Wants.Count < 2 || want < 0 || want >= guest.Wants.Count)
            {
                throw new Refused($"{guest.Name} has only one thing to do, or no longer that one; there is nothing to split off.");
            }

            var profile = lab.Book.Get(guest.Wants[want].ProfileId);
            var name = Enumerable
                .Range(1, int.MaxValue)
                .Select(n => n == 1 ? profile.Name : $"{profile.Name} {n}")
                .First(n => !NameTaken(lab, n));
            var rest = lab.WithGuest(id, g => g with { Wants = [.. g.Wants.Where((_, n) => n != want)] });
            var alone = new Guest(
                new GuestId("new"),
                name,
                guest.Kind,
                [guest.Wants[want]],
                SizeOverrides.None,
                guest.Placement,
                guest.Importance,
                Folders: guest.Kind == GuestKind.AppStack ? [AppStacks.DefaultFolder(name)] : [],
                RunsIn: guest.RunsIn
            );
            return new Changed(Add(alone)(rest).Lab, $"{guest.Name} split: {name} is a guest of its own");
        };

    /// <summary>Removes a guest from the lab.</summary>
    public static Edit Remove(GuestId id) =>
        lab =>
        {
            var guest = Existing(lab, id);
            var inside = lab.GuestsIn(id).Select(g => g.Name).ToList();
            return new Changed(
                WireEdits.Without(
                    lab with
                    {
                        Guests = lab.Guests.Without(g => g.Id == id).Change(g => g.RunsIn == id, g => g with { RunsIn = null }),
                    }
                ),
                $"{guest.Name} removed" + (inside.Count > 0 ? $"; {string.Join(", ", inside)} taken out of it" : "")
            );
        };

    internal static Guest Existing(Lab lab, GuestId id) => lab.Guest(id) ?? throw new Refused("That guest is no longer in the lab.");

    internal static string FreeName(Lab lab, string typed, GuestId? except)
    {
        var name = Names.Checked(typed, "guest");
        if (NameTaken(lab, name, except))
        {
            throw new Refused($"There is already a guest called {name}.");
        }

        return name;
    }

    private static bool NameTaken(Lab lab, string name, GuestId? except = null) =>
        lab.Guests.Any(g => g.Id != except && string.Equals(g.Name, name, StringComparison.OrdinalIgnoreCase));

    /// <summary>The guest, when nothing about it is wrong.</summary>
    /// <exception cref="Refused">Something is.</exception>
    internal static Guest Sound(Lab lab, Guest guest)
    {
        // What goes into another guest has no place of its own any more.
        var settled = guest.RunsIn is null || lab.Outer(guest) is null ? guest : guest with { Placement = null };
        Problem.Refuse(GuestChecks.Problems(lab, settled));
        return settled;
    }
}
