using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Edits;

/// <summary>App stacks whose engine runs inside another guest rather than on the host itself.</summary>
public static class NestingEdits
{
    /// <summary>Lets the engine inside another guest run an app stack; that guest then holds its disks.</summary>
    public static Edit RunIn(GuestId id, GuestId outer) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            var into = lab.Guest(outer) ?? throw new Refused("The guest it should run in is no longer in the lab.");
            if (guest.RunsIn == outer)
            {
                return new Changed(lab, $"{guest.Name} runs in {into.Name} already");
            }

            var inside = GuestEdits.Sound(lab, guest with { RunsIn = outer, Placement = null });
            return new Changed(WithRoomFor(lab.WithGuest(id, _ => inside), outer), $"{guest.Name} runs in {into.Name} now");
        };

    /// <summary>A guest that had no bulk data of its own keeps that of its app stacks from now on: it needs a pool for it.</summary>
    public static Lab WithRoomFor(Lab lab, GuestId outer)
    {
        var guest = lab.Guest(outer)!;
        if (lab.HostOf(guest) is not { } host || guest.Placement?.BulkPool is not null)
        {
            return lab;
        }

        var chosen = VolumePlacement.Choose(lab, guest, host);
        return lab.WithGuest(outer, g => g with { Placement = g.Placement! with { BulkPool = chosen.BulkPool } });
    }

    /// <summary>Makes a guest with an app engine where an app stack is, and lets it run the app stack.</summary>
    /// <param name="id">The app stack.</param>
    /// <param name="kind">A machine or a system container.</param>
    public static Edit RunInEngineOfItsOwn(GuestId id, GuestKind kind) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            var name = Enumerable
                .Range(1, int.MaxValue)
                .Select(n => n == 1 ? "app engine" : $"app engine {n}")
                .First(n => lab.Guests.All(g => !string.Equals(g.Name, n, StringComparison.OrdinalIgnoreCase)));
            var engine = new Guest(
                new GuestId("new"),
                name,
                kind,
                [new Want(ProfileBook.AppEngine)],
                SizeOverrides.None,
                guest.Placement,
                guest.Importance
            );
            var with = GuestEdits.Add(engine)(lab).Lab;
            return new Changed(RunIn(id, with.Guests[^1].Id)(with).Lab, $"{guest.Name} runs in a {kind.Words()} of its own now, {name}");
        };

    /// <summary>
    /// What follows when a guest is changed: what is no app stack any more runs on the host itself again, on the one its outer guest is on;
    /// what goes into a guest has no place of its own.
    /// </summary>
    internal static Guest Settled(Lab lab, Guest before, Guest after)
    {
        if (after.RunsIn is null && before.RunsIn is null)
        {
            return after;
        }

        if (after.RunsIn is not null && after.Kind == GuestKind.AppStack)
        {
            return after with { Placement = null };
        }

        var alone = after with { RunsIn = null };
        return lab.HostOf(before) is { } host ? alone with { Placement = VolumePlacement.Choose(lab, alone, host) } : alone;
    }
}
