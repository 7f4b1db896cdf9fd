using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>How a host is made ready, and how its pools are made. Durations are common practice.</summary>
internal static class HostRecipes
{
    /// <summary>Making a new host ready to carry guests.</summary>
    public static IEnumerable<StepDraft> Join(Host host)
    {
        yield return new(
            LifeStage.Planned,
            "Set the firmware up",
            [
                new("virtualisation", "on"),
                new("after a power cut", "power on"),
                new(
                    "boot from",
                    host.Disks.FirstOrDefault(d => d.IsBoot) is { } boot
                        ? $"{boot.Name}, {boot.Size.ToDecimalString()}, {boot.Id}"
                        : "the boot disk"
                ),
            ],
            15,
            "lscpu shows a line that begins with «Virtualization».",
            "Some firmware hides the switch on the processor or security page.",
            "Load the firmware's defaults.",
            "Unplug the mains before you open the case. Two people for a rack or a tower on a shelf. Wiring and batteries are for licensed people; local codes apply."
        );
        yield return new(
            LifeStage.Planned,
            "Give it a fixed address and say where alerts go",
            [
                new("name", Names.Slug(host.Name), Literal: true),
                new("address", "reserved by hardware address, outside the range handed out"),
            ],
            10,
            "It has the same address after a restart, and a test alert arrives.",
            "Two reservations for one address? Look at the list where addresses are handed out.",
            "Back to a changing address."
        );
    }

    /// <summary>Making a pool.</summary>
    public static StepDraft MakePool(Host host, Pool pool)
    {
        var disks = host.DisksOf(pool).ToList();
        var room = PoolRoom.Of(pool.Layout, pool.Family, [.. disks.Select(d => d.Size)]);
        var boot = disks.Any(d => d.IsBoot);
        return new(
            LifeStage.Planned,
            boot ? $"Use the boot disk's free room as {pool.Name}" : $"Make the pool {pool.Name}",
            [
                new("name", Names.Slug(pool.Name), Literal: true),
                new("layout", $"{pool.Layout.Words()}, {(pool.Family == PoolFamily.CopyOnWrite ? "copy-on-write pool" : "block array")}"),
                .. disks.Select(d => new StepValue("disk", $"{d.Id} ({d.Size.ToDecimalString()}, seen as {d.Name})", Literal: true)),
                new("room to expect", $"{room.Usable} ({room.Usable.ToDecimalString()})"),
            ],
            10,
            $"The host shows {pool.Name} with about {room.Usable}.",
            "Less room than that? A disk is missing or smaller than the others.",
            boot ? "Remove the folder." : "Take the pool apart; what was on the disks before does not come back.",
            boot ? null : $"This wipes {Numbers.Count(disks.Count, "disk")}: {string.Join("; ", disks.Select(Named))}."
        );
    }

    /// <summary>A disk by stable id, size and what is on it, as every destructive step names it.</summary>
    private static string Named(Disk disk) =>
        $"{disk.Id}, {disk.Size.ToDecimalString()}, {(disk.MountedAt.Count == 0 ? "nothing mounted when it was read" : "mounted at " + string.Join(", ", disk.MountedAt))}";
}
