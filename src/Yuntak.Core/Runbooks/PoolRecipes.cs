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

    /// <summary>What a change of a pool comes to.</summary>
    public static string Title(PoolChange change, string where) =>
        change.Replaced.Count > 0 ? $"Replace {Numbers.Count(change.Replaced.Count, "disk")} of {change.After.Name} on {where}"
        : change.Joined.Count > 0 ? $"Add {Numbers.Count(change.Joined.Count, "disk")} to {change.After.Name} on {where}"
        : $"Lay {change.After.Name} out anew on {where}";

    /// <summary>The steps from one form of a pool to another, with its data kept.</summary>
    /// <param name="standing">The host as it stands.</param>
    /// <param name="planned">The host as it is planned.</param>
    /// <param name="change">The change.</param>
    public static IEnumerable<StepDraft> Changed(Host standing, Host planned, PoolChange change)
    {
        if (change.Replaced is { Count: > 0 } replaced)
        {
            return replaced.Select(pair => Replace(standing, planned, change.After, pair.Old, pair.New));
        }

        return change.Joined is { Count: > 0 } joined ? [Join(planned, change.After, joined)] : Anew(standing, planned, change);
    }

    private static StepDraft Replace(Host standing, Host planned, Pool pool, string old, string by)
    {
        var fresh = planned.Disks.FirstOrDefault(d => d.Id == by);
        var worn = standing.Disks.FirstOrDefault(d => d.Id == old) ?? planned.Disks.FirstOrDefault(d => d.Id == old);
        var hours = fresh is null ? 0 : DiskSpec.Of(fresh).RebuildHours;
        return new(
            LifeStage.Planned,
            $"Replace a disk of {pool.Name}, and wait for the rebuild",
            [
                new("out", worn is null ? old : Named(worn), Literal: true),
                new("in", fresh is null ? by : Named(fresh), Literal: true),
                new("find it by", "the serial number on its label, held against the id; never by kernel name"),
                new("power", "off, unless its bay is made for changing disks while running"),
                new("rebuild", $"about {Numbers.Short(Math.Ceiling(hours))} h beside ordinary work"),
            ],
            (int)Math.Ceiling(hours * 60) + 30,
            $"The host shows {pool.Name} whole, with {by} in it, and a scrub finds nothing.",
            $"The rebuild stops? Leave the old disk at hand: with it the pool may still be read. Do not pull another.",
            pool.Survives() > 0 ? "Put the old disk back before the rebuild starts." : "None: the pool has nothing to rebuild from.",
            $"This wipes {(fresh is null ? by : Named(fresh))}. Until the rebuild is done {pool.Name} survives {Numbers.Count(Math.Max(0, pool.Survives() - 1), "failure")}: take a backup first. "
                + "Unplug the mains before you open the host, and touch its metal."
        );
    }

    private static StepDraft Join(Host host, Pool pool, IReadOnlyList<string> joined)
    {
        var disks = host.DisksOf(pool).Where(d => joined.Contains(d.Id)).ToList();
        var room = PoolRoom.Of(pool.Layout, pool.Family, [.. host.DisksOf(pool).Select(d => d.Size)], pool.Groups);
        var hours = disks.Select(d => DiskSpec.Of(d).RebuildHours).DefaultIfEmpty(0).Max();
        var spreads = pool.Layout.Survives(pool.DiskIds.Count) > 0;
        return new(
            LifeStage.Planned,
            $"Add {(disks.Count == 1 ? "a disk" : "the disks")} to {pool.Name}",
            [
                .. disks.Select(d => new StepValue("disk", $"{d.Id} ({d.Size.ToDecimalString()}, seen as {d.Name})", Literal: true)),
                new("layout from now on", pool.Layout.Words(pool.DiskIds.Count, pool.Groups)),
                new("room to expect", $"{room.Usable} ({room.Usable.ToDecimalString()})"),
                new("spreading", spreads ? $"about {Numbers.Short(Math.Ceiling(hours))} h beside ordinary work" : "none"),
            ],
            15 + (spreads ? (int)Math.Ceiling(hours * 60) : 0),
            $"The host shows {pool.Name} with about {room.Usable}.",
            "Less room than that? It is still spreading, or the tools in use do not widen this layout: then lay it out anew.",
            "In most layouts a disk that joined cannot leave again without laying the pool out anew.",
            $"This wipes {Numbers.Count(disks.Count, "disk")}: {string.Join("; ", disks.Select(Named))}. Take a backup of {pool.Name} first."
        );
    }

    private static IEnumerable<StepDraft> Anew(Host standing, Host planned, PoolChange change)
    {
        var name = change.After.Name;
        var kept = standing.DisksOf(change.Before).Aggregate(ByteSize.Zero, (sum, d) => sum + d.Size);
        yield return new(
            LifeStage.Planned,
            $"Copy everything in {name} to another host or to disks that stay out of this",
            [new("at most", kept.ToDecimalString()), new("guests in it", "stopped while they are copied")],
            240,
            "The copy is there and as large as what is in use; three files picked at random open from it.",
            "No room for it? Do not go on: lay it out anew when there is.",
            "Delete the copy."
        );
        yield return ChangeRecipes.PoolLeaves(standing, change.Before);
        yield return MakePool(planned, change.After);
        yield return new(
            LifeStage.Planned,
            $"Copy everything back into {name}",
            [],
            240,
            "Sizes and a sample of checksums agree with the copy; the guests start and find their data.",
            "Differs? The copy is still there: compare before you copy again.",
            "The copy is the way back: keep it for two weeks."
        );
    }

    /// <summary>A disk by stable id, size and what is on it, as every destructive step names it.</summary>
    private static string Named(Disk disk) => $"{disk.Id}, {disk.Size.ToDecimalString()}, {disk.Contents}";
}
