using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Simulation;

/// <summary>Disks, pools and copies. What is wiped is gone, and written down as lost when somebody still needed it.</summary>
internal sealed partial class SimHouse
{
    /// <summary>A disk is wiped: the one named, or the one somebody has before them in its place.</summary>
    public void Wipe(HostId id, string disk)
    {
        var host = Host(id);
        var wiped = WrongDisk ?? disk;
        foreach (var pool in host.Pools.Values.Where(p => p.Disks.Contains(wiped)))
        {
            Lose($"{wiped}, which was in {pool.Name} on {host.Name}");
            pool.Disks = pool.Disks.Remove(wiped);
        }

        if (host.Kept.Contains(wiped))
        {
            Lose($"what was on {wiped} of {host.Name}");
        }
    }

    /// <summary>A pool is made of disks, which are wiped but for the room a host's own system leaves.</summary>
    /// <exception cref="HostRefuses">There is one of that name, or a disk is in another.</exception>
    public void MakePool(HostId id, Pool made, IEnumerable<string> wiped, ByteSize room, ByteSize other)
    {
        var host = Host(id);
        if (host.Pools.ContainsKey(made.Name))
        {
            throw new HostRefuses($"{host.Name} has a pool called {made.Name} already.");
        }

        foreach (var disk in made.DiskIds)
        {
            MustBeFree(host, disk);
        }

        foreach (var disk in wiped)
        {
            Wipe(id, disk);
        }

        host.Disks = host.Disks.Union(made.DiskIds);
        host.Pools = host.Pools.Add(
            made.Name,
            new SimPool
            {
                Name = made.Name,
                Made = made,
                Disks = [.. made.DiskIds],
                Room = room,
                Other = other,
                Used = other,
            }
        );
    }

    private static void MustBeFree(SimHost host, string disk)
    {
        if (host.Pools.Values.FirstOrDefault(p => p.Disks.Contains(disk)) is { } taken)
        {
            throw new HostRefuses($"{disk} is busy: it is in the pool {taken.Name}.");
        }
    }

    /// <summary>Disks join a pool.</summary>
    /// <exception cref="HostRefuses">One of them is in a pool already.</exception>
    public void Grow(HostId id, Pool grown, IReadOnlyCollection<string> joined, ByteSize room)
    {
        var (host, pool) = (Host(id), Pool(id, grown.Name));
        foreach (var disk in joined)
        {
            MustBeFree(host, disk);
        }

        foreach (var disk in joined)
        {
            Wipe(id, disk);
        }

        host.Disks = host.Disks.Union(joined);
        (pool.Made, pool.Disks, pool.Room) = (grown, pool.Disks.Union(joined), room);
    }

    /// <summary>A disk takes the place of another in a pool.</summary>
    /// <exception cref="HostRefuses">The new one is in a pool already, or the old one is in none.</exception>
    public void Replace(HostId id, string name, string old, string fresh, bool stays)
    {
        var (host, pool) = (Host(id), Pool(id, name));
        MustBeFree(host, fresh);
        if (!pool.Disks.Contains(old))
        {
            throw new HostRefuses($"{old} is not in {name}.");
        }

        Wipe(id, fresh);
        host.Disks = stays ? host.Disks.Add(fresh) : host.Disks.Remove(old).Add(fresh);
        pool.Disks = pool.Disks.Remove(old).Add(fresh);
        pool.Made = pool.Made with { DiskIds = [.. pool.Made.DiskIds.Select(d => d == old ? fresh : d)] };
    }

    /// <summary>A pool comes apart. What lies in it and was not copied away is lost.</summary>
    /// <exception cref="HostRefuses">Somebody runs from it.</exception>
    public void TakeApart(HostId id, string name)
    {
        var (host, pool) = (Host(id), Pool(id, name));
        var keepers = guests.Values.Where(g => LiesIn(g.System, id, name) || LiesIn(g.Bulk, id, name)).ToList();
        if (keepers.Find(g => g.State != GuestState.Off) is { } runs)
        {
            throw new HostRefuses($"{name} is busy: {runs.Figures.Name} runs from it.");
        }

        if (!pool.CopiedAway)
        {
            foreach (var guest in keepers.Where(g => g.Size > ByteSize.Zero))
            {
                Lose($"volumes of {guest.Figures.Name} in {name} on {host.Name}");
            }

            if (pool.Other > ByteSize.Zero)
            {
                Lose($"{pool.Other} in {name} on {host.Name}");
            }
        }

        host.Pools = host.Pools.Remove(name);
    }

    private static bool LiesIn(SimVolume? volume, HostId host, string pool) =>
        volume is not null && volume.Host == host && volume.Pool == pool;

    /// <summary>A pool is called otherwise, and what lies in it is found under the new name.</summary>
    public void Rename(HostId id, string name, string becomes)
    {
        var (host, pool) = (Host(id), Pool(id, name));
        if (host.Pools.ContainsKey(becomes))
        {
            throw new HostRefuses($"{host.Name} has a pool called {becomes} already.");
        }

        host.Pools = host.Pools.Remove(name).Add(becomes, pool);
        pool.Name = becomes;
        pool.Made = pool.Made with { Name = becomes };
        Point(id, name, becomes);
    }

    /// <summary>What lay in one pool of a host is found in another.</summary>
    private void Point(HostId id, string name, string becomes)
    {
        SimVolume? Then(SimVolume? volume) => LiesIn(volume, id, name) ? volume! with { Pool = becomes } : volume;
        foreach (var guest in guests.Values.Where(g => LiesIn(g.System, id, name) || LiesIn(g.Bulk, id, name) || Names(g)))
        {
            (guest.System, guest.Bulk) = (Then(guest.System), Then(guest.Bulk));
            guest.Figures = guest.Figures with
            {
                SystemPool = guest.Figures.SystemPool == name ? becomes : guest.Figures.SystemPool,
                BulkPool = guest.Figures.BulkPool == name ? becomes : guest.Figures.BulkPool,
            };
        }

        bool Names(SimGuest g) => g.Host == id && g.Figures.RunsIn is null && (g.Figures.SystemPool == name || g.Figures.BulkPool == name);
    }
}
