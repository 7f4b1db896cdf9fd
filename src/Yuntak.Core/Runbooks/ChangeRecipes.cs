using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Runbooks;

/// <summary>How a guest that stands is changed, moved or retired. Durations are common practice.</summary>
internal static class ChangeRecipes
{
    /// <summary>Other figures on the same host.</summary>
    public static IEnumerable<StepDraft> Resize(Sizing was, Sizing becomes, IReadOnlyList<string> words)
    {
        var (before, after) = (was.Guest, becomes.Guest);
        var shrinks = becomes.SystemDisk < was.SystemDisk || becomes.Bulk < was.Bulk;
        if (before.Kind != after.Kind || before.Placement != after.Placement || before.RunsIn != after.RunsIn || shrinks)
        {
            yield return Backup(before);
        }

        yield return new(
            LifeStage.Planned,
            "Shut it down and change the figures",
            [.. words.Select(w => new StepValue("change", w)), new("state", "off; suspended is not off")],
            5,
            "The host shows the new figures.",
            "Refused? It is still running or only suspended.",
            "Set the old figures again while it is off.",
            shrinks ? "A disk grows but never shrinks: make a smaller one, bring the backup back onto it, then delete the old one."
                : before.Kind != after.Kind
                    ? "It is built anew in another packaging. Keep the old one, off, until the new one has run for a week."
                : null
        );
        yield return Start(becomes);
    }

    /// <summary>To another host.</summary>
    public static IEnumerable<StepDraft> Move(Sizing moving, Host? from, Host to)
    {
        var guest = moving.Guest;
        var pool = guest.Placement?.SystemPool;
        var direct = pool is not null && from?.PoolNamed(pool) is not null;
        yield return Backup(guest);
        yield return new(
            LifeStage.Planned,
            $"Shut it down and move it to {to.Name}",
            [
                new("from", from?.Name ?? "where it is"),
                new("to", to.Name),
                new("pool there", pool ?? "a pool you choose"),
                new(
                    "way",
                    direct ? $"straight across: both hosts have a pool called {pool}" : "through the backup: the hosts share no pool name"
                ),
            ],
            20,
            $"{to.Name} lists it, off, with all its disks.",
            "A disk or device stayed behind? Attach or replace it before you start it.",
            $"Bring it back to {from?.Name ?? "the old host"} the same way; do not delete it there yet."
        );
        yield return Start(moving);
    }

    /// <summary>Off its host for good.</summary>
    public static IEnumerable<StepDraft> Retire(Guest guest, bool stays)
    {
        yield return Backup(guest);
        yield return new(
            LifeStage.Planned,
            stays ? "Shut it down and take it off the host" : "Shut it down and delete it",
            [new("guest", guest.Name)],
            5,
            "The host no longer lists it, and its room is free.",
            "Refused? Something still uses one of its disks.",
            "Bring the last backup back.",
            "Deleting takes its disks along. Make sure the backup of the step before is there and complete."
        );
    }

    /// <summary>A host leaves.</summary>
    public static StepDraft HostLeaves(Host host) =>
        new(
            LifeStage.Planned,
            $"Check that nothing is left on {host.Name}, shut it down and unplug it",
            [.. host.Disks.Select(d => new StepValue("disk to wipe or keep", $"{d.Id} ({d.Size.ToDecimalString()})", Literal: true))],
            30,
            "Every guest answers without it.",
            "Plug it in again.",
            "Plug it in again.",
            "Disks hold private data: wipe or keep them. Lift with two people; unplug the mains first."
        );

    /// <summary>A pool is taken apart.</summary>
    public static StepDraft PoolLeaves(Host host, Pool pool) =>
        new(
            LifeStage.Planned,
            $"Take the pool {pool.Name} apart",
            [
                .. host.DisksOf(pool)
                    .Select(d => new StepValue("disk", $"{d.Id} ({d.Size.ToDecimalString()}, seen as {d.Name})", Literal: true)),
            ],
            10,
            "The host shows the disks as unused.",
            "Busy? A guest or a share still uses it.",
            "None: what was in it comes back from a backup only.",
            $"This destroys everything in {pool.Name}. Copy what you need first."
        );

    private static StepDraft Backup(Guest guest) =>
        new(
            LifeStage.Planned,
            $"Take a backup of {guest.Name}, or make sure there is one younger than a day",
            [],
            15,
            "It is there, complete, and on another host.",
            "Do not go on without it.",
            "None needed.",
            KeepsRunning: true
        );

    private static StepDraft Start(Sizing guest) =>
        new(
            LifeStage.Planned,
            "Start it and try it",
            [],
            Math.Max(3, guest.Leading.FirstStartMinutes / 4),
            "The service answers from another machine.",
            "Read the guest's own journal first, then the host's.",
            "Shut it down and go one step back."
        );
}
