using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>How the pools of a host are made. Durations are common practice.</summary>
internal static class PoolRecipes
{
    /// <summary>Making a pool.</summary>
    public static StepDraft MakePool(Host host, Pool pool)
    {
        var disks = host.DisksOf(pool).ToList();
        var room = PoolRoom.Of(pool.Layout, pool.Family, [.. disks.Select(d => d.Size)], pool.Groups);
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
    private static string Named(Disk disk) => $"{disk.Id}, {disk.Size.ToDecimalString()}, {disk.Contents}";
}
