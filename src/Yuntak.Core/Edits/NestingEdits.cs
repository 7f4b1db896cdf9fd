using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Edits;

/// <summary>App stacks whose engine runs inside another guest rather than on the host itself.</summary>
public static class NestingEdits
{
    /// <summary>Lets the engine inside another guest run an app stack; that guest then holds its disks.</summary>
    public static Edit RunIn(GuestId id, GuestId outer) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            var into = lab.Guest(outer) ?? throw new EditRefused("The guest it should run in is no longer in the lab.");
            if (guest.RunsIn == outer)
            {
                return new Changed(lab, $"{guest.Name} runs in {into.Name} already");
            }

            var inside = Sound(lab, guest with { RunsIn = outer, Placement = null });
            return new Changed(WithRoomFor(lab.WithGuest(id, _ => inside), outer), $"{guest.Name} runs in {into.Name} now");
        };

    /// <summary>A guest that had no bulk data of its own keeps that of its app stacks from now on: it needs a pool for it.</summary>
    private static Lab WithRoomFor(Lab lab, GuestId outer)
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

    /// <summary>The guest, when what it runs in can run it and what runs in it can still do so.</summary>
    /// <exception cref="EditRefused">It cannot.</exception>
    internal static Guest Sound(Lab lab, Guest guest)
    {
        if (guest.Kind == GuestKind.AppStack && lab.GuestsIn(guest.Id).ToList() is { Count: > 0 } inside)
        {
            throw new EditRefused(
                $"{guest.Name} cannot become an app stack while {string.Join(", ", inside.Select(g => g.Name))} {(inside.Count == 1 ? "runs" : "run")} in it."
            );
        }

        if (guest.RunsIn is null)
        {
            return guest;
        }

        if (guest.Kind != GuestKind.AppStack)
        {
            throw new EditRefused($"{guest.Name} is a {guest.Kind.Words()}; only app stacks run inside another guest.");
        }

        var outer = lab.Outer(guest) ?? throw new EditRefused($"The guest {guest.Name} should run in is not in the lab.");
        return outer.Kind == GuestKind.AppStack
            ? throw new EditRefused($"{outer.Name} is an app stack itself and has no engine for {guest.Name}.")
            : guest with
            {
                Placement = null,
            };
    }

    /// <summary>What a person gives up by letting an app engine run inside a guest of this kind, one plain sentence each; common practice.</summary>
    public static IReadOnlyList<string> GivenUp(GuestKind outer) =>
        outer == GuestKind.SystemContainer
            ?
            [
                "Nesting must be switched on for the container: the wall between it and the host gets thinner.",
                "Devices must be mapped twice, in the container and in the stack.",
                "It has no network mounts of its own while it stays unprivileged: mount on the host and hand the folder in.",
                "It cannot move while running.",
            ]
            :
            [
                $"Memory for a second kernel, and it is set aside whole: {SizingRules.MachineBaseOverhead} and 1/256 of it besides.",
                "A graphics chip cannot be shared with others: it is handed over whole or not at all.",
                "Data lies in a disk of the machine: the host does not see single files.",
            ];
}
