using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Edits;

/// <summary>Changes to the pools of a host.</summary>
public static class PoolEdits
{
    /// <summary>Changes a pool: its layout, its disks, what is known of it. Its name may change; guests, shared folders, shares and stores in it follow.</summary>
    /// <param name="id">The host.</param>
    /// <param name="name">The pool's name now.</param>
    /// <param name="change">The change.</param>
    /// <param name="correcting">Whether only what is known of it is set right: then the room its own tools said stays. A pool that is laid out otherwise has another.</param>
    public static Edit Change(HostId id, string name, Func<Pool, Pool> change, bool correcting = false) =>
        lab =>
        {
            var host = HostEdits.Existing(lab, id);
            var before = host.PoolNamed(name) ?? throw new Refused($"{host.Name} has no pool called {name}.");
            var changedTo = change(before);
            var laidOutOtherwise =
                changedTo.Layout != before.Layout
                || changedTo.Groups != before.Groups
                || changedTo.Family != before.Family
                || !changedTo.DiskIds.ToHashSet(StringComparer.Ordinal).SetEquals(before.DiskIds);
            var after = Sound(
                host,
                laidOutOtherwise && !correcting && changedTo.Size == before.Size ? changedTo with { Size = null } : changedTo,
                before
            );
            if (after == before)
            {
                return new Changed(lab, $"{host.Name}: {name}, nothing changed");
            }

            var changed = lab.WithHost(id, h => h with { Pools = h.Pools.Change(p => p.Name == name, _ => after) });
            if (after.Name != name)
            {
                changed = changed with
                {
                    Hosts = changed.Hosts.Change(
                        h => h.Id == id,
                        h => h with { Pools = h.Pools.Change(p => p.Serves == name, p => p with { Serves = after.Name }) }
                    ),
                    Folders = changed.Folders.Change(f => f.Host == id && f.Pool == name, f => f with { Pool = after.Name }),
                    Stores = changed.Stores.Change(s => s.Host == id && s.Pool == name, s => s with { Pool = after.Name }),
                    Shares = changed.Shares.Change(
                        s => s.From.Host == id && host.PoolAt(s.From.Path)?.Name == name,
                        s => s with { From = s.From with { Path = Below(after) + s.From.Path[Below(before).Length..] } }
                    ),
                    Guests = Renamed(changed.Guests, id, name, after.Name),
                };
            }

            return new Changed(changed, $"{host.Name}: {Words(before, after)}");
        };

    /// <summary>Guests that follow a pool of their host to its new name.</summary>
    internal static ValueList<Guest> Renamed(ValueList<Guest> guests, HostId host, string pool, string to)
    {
        string? Follow(string? at) => at == pool ? to : at;
        return guests.Change(
            g => g.Placement?.Host == host,
            g => g with { Placement = new Placement(host, Follow(g.Placement!.SystemPool), Follow(g.Placement.BulkPool)) }
        );
    }

    private static string Below(Pool pool) => Host.PlaceOf(pool).TrimEnd('/');

    /// <summary>Moves a disk into a pool, or out of the one it is in when none is named. What the layout cannot do without it is refused.</summary>
    public static Edit MoveDisk(HostId id, string disk, string? pool) =>
        lab =>
        {
            var host = HostEdits.Existing(lab, id);
            var found = host.Disks.FirstOrDefault(d => d.Id == disk) ?? throw new Refused($"{host.Name} has no disk «{disk}».");
            var from = host.Pools.FirstOrDefault(p => p.DiskIds.Contains(disk));
            if (from?.Name == pool)
            {
                return new Changed(lab, $"{found.Name} stays where it is");
            }

            var without = from is null ? lab : Change(id, from.Name, p => p with { DiskIds = p.DiskIds.Without(d => d == disk) })(lab).Lab;
            if (pool is null)
            {
                return new Changed(without, $"{host.Name}: {found.Name} taken out of {from!.Name}");
            }

            var into = Change(id, pool, p => WithDisk(p, disk))(without);
            return new Changed(
                into.Lab,
                $"{host.Name}: {found.Name} {(from is null ? "joins" : $"leaves {from.Name} for")} {pool}, {WordsOf(into.Lab.Host(id)!.PoolNamed(pool)!)}"
            );
        };

    /// <summary>Replaces a disk of a pool by another of the host: the same place, the same layout.</summary>
    public static Edit ReplaceDisk(HostId id, string pool, string disk, string by) =>
        lab =>
        {
            var host = HostEdits.Existing(lab, id);
            var changed = Change(
                id,
                pool,
                p =>
                    p.DiskIds.Contains(disk)
                        ? p with
                        {
                            DiskIds = p.DiskIds.Change(d => d == disk, _ => by),
                        }
                        : throw new Refused($"{pool} has no disk «{disk}».")
            )(lab);
            return new Changed(changed.Lab, $"{host.Name}: {NameOf(host, disk)} in {pool} replaced by {NameOf(host, by)}");
        };

    /// <summary>A pool whose parity disk is the largest of its disks.</summary>
    public static Edit LargestForParity(HostId id, string pool) =>
        lab =>
        {
            var host = HostEdits.Existing(lab, id);
            return Change(
                id,
                pool,
                p =>
                    p with
                    {
                        DiskIds = [.. p.DiskIds.OrderByDescending(d => host.Disks.FirstOrDefault(h => h.Id == d)?.Size ?? ByteSize.Zero)],
                    }
            )(lab);
        };

    /// <summary>The pool with a checked name, when its disks are there, free and enough.</summary>
    /// <exception cref="Refused">Something about it cannot be.</exception>
    internal static Pool Sound(Host host, Pool pool, Pool? except)
    {
        var named = pool with { Name = Names.Checked(pool.Name, "pool") };
        Problem.Refuse(PoolChecks.Problems(host, named, except));
        return named;
    }

    /// <summary>One disk more, with the layout that keeps: a single disk becomes a mirror, since a stripe would lose its safety.</summary>
    private static Pool WithDisk(Pool pool, string disk) =>
        pool with
        {
            DiskIds = pool.DiskIds.With(disk),
            Layout = pool.Layout == PoolLayout.Single ? PoolLayout.Mirror : pool.Layout,
        };

    private static string Words(Pool before, Pool after) =>
        before.Name != after.Name ? $"{before.Name} is called {after.Name} now"
        : before.Layout != after.Layout || before.Groups != after.Groups || before.DiskIds != after.DiskIds || before.Family != after.Family
            ? $"{after.Name} becomes {WordsOf(after)}"
        : LabDifference.PoolWords(before, after) ?? $"{after.Name} changed";

    private static string WordsOf(Pool pool) =>
        pool.Layout.Words(pool.DiskIds.Count, pool.Groups) + (pool.Family == PoolFamily.CopyOnWrite ? ", copy-on-write" : "");

    private static string NameOf(Host host, string disk) => host.Disks.FirstOrDefault(d => d.Id == disk)?.Name ?? disk;
}
