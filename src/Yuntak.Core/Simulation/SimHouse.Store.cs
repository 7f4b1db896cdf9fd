using System.Collections.Immutable;
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
            pool.Whole = false;
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

    /// <summary>Everything in a pool lies elsewhere too; its guests are off meanwhile.</summary>
    public void CopyAway(HostId id, string name, (HostId Host, string Pool)? to, ByteSize amount)
    {
        var pool = Pool(id, name);
        if (to is var (host, other))
        {
            Take(host, other, amount, 0);
            parked[(id, name)] = new SimVolume(host, other, amount);
        }

        pool.CopiedAway = true;
    }

    /// <summary>What was copied away is back, under the name the pool has now.</summary>
    public void CopyBack(HostId id, string before, string after)
    {
        Pool(id, after);
        foreach (var guest in guests.Values)
        {
            foreach (var volume in new[] { guest.System, guest.Bulk }.Where(v => LiesIn(v, id, before)))
            {
                Take(id, after, volume!.Size, guest.Written);
            }
        }

        if (before != after)
        {
            Point(id, before, after);
        }

        if (parked.Remove((id, before), out var copy))
        {
            Give(copy);
        }
    }

    /// <summary>A volume of a guest that is off is copied into another pool of its host. Its start with the host is held until it is started by hand.</summary>
    /// <exception cref="HostRefuses">It is not off, or there is no room.</exception>
    public void CopyVolume(GuestId id, bool bulk, string from, string to)
    {
        var guest = OffGuest(id);
        var volume =
            (bulk ? guest.Bulk : guest.System) is { } there && there.Pool == from
                ? there
                : throw new HostRefuses($"{guest.Figures.Name} keeps nothing of that sort in {from}.");
        var old = bulk ? guest.BulkCopy : guest.SystemCopy;
        Give(old);
        var copy = Take(guest.Host, to, volume.Size, guest.Written);
        (guest.BulkCopy, guest.SystemCopy) = bulk ? (copy, guest.SystemCopy) : (guest.BulkCopy, copy);
        guest.Held = true;
    }

    /// <summary>A copy is held against what it was copied from, and is what the guest runs from afterwards. The old one stays.</summary>
    /// <exception cref="HostRefuses">The guest is not off, there is no copy, or it ran since.</exception>
    public void UseCopy(GuestId id, bool bulk, string to)
    {
        var guest = OffGuest(id);
        var (now, copy) = bulk ? (guest.Bulk, guest.BulkCopy) : (guest.System, guest.SystemCopy);
        if (now?.Pool == to)
        {
            return;
        }

        if (copy is null || copy.Pool != to)
        {
            throw new HostRefuses($"There is no copy in {to}.");
        }

        if (copy.Written != guest.Written)
        {
            throw new HostRefuses($"The checksums differ: {guest.Figures.Name} ran since it was copied.");
        }

        if (bulk)
        {
            (guest.Bulk, guest.BulkCopy) = (copy, now);
            guest.Figures = guest.Figures with { BulkPool = to };
        }
        else
        {
            (guest.System, guest.SystemCopy) = (copy, now);
            guest.Figures = guest.Figures with { SystemPool = to };
        }
    }

    /// <summary>A volume of a guest that is off lies in a third place from now on.</summary>
    /// <exception cref="HostRefuses">It is not off, or there is no room.</exception>
    public void Park(GuestId id, bool bulk, HostId host, string pool)
    {
        var guest = OffGuest(id);
        if ((bulk ? guest.Bulk : guest.System) is not { } volume)
        {
            throw new HostRefuses($"{guest.Figures.Name} keeps nothing of that sort.");
        }

        var there = Take(host, pool, volume.Size, guest.Written);
        Give(volume);
        guest.Held = true;
        if (bulk)
        {
            guest.Bulk = there;
        }
        else
        {
            guest.System = there;
        }
    }

    /// <summary>
    /// A guest is again as it stood: what the ways back of the steps that were done to it come to. Its volumes lie where they lay, copies are gone, figures, devices
    /// and host are the old ones, and it runs.
    /// </summary>
    /// <exception cref="HostRefuses">There is no room where it was.</exception>
    public void PutBack(GuestNeeds was)
    {
        var guest = Guest(was.Id);
        if (guest.State == GuestState.Suspended)
        {
            Start(was.Id);
        }

        ShutDown(was.Id);
        foreach (var volume in new[] { guest.System, guest.Bulk, guest.SystemCopy, guest.BulkCopy })
        {
            Give(volume);
        }

        (guest.SystemCopy, guest.BulkCopy) = (null, null);
        guest.System = was.System is { } system ? Take(system.Host, system.Pool, system.Size, guest.Written) : null;
        guest.Bulk = was.Bulk is { } bulk ? Take(bulk.Host, bulk.Pool, bulk.Size, guest.Written) : null;
        Exit(guest);
        (guest.Figures, guest.Host, guest.Memory, guest.Family) = (was.Figures, was.Host, was.Memory, was.Family);
        (guest.Bridges, guest.Addresses, guest.Devices, guest.Shares) = (was.Bridges, was.Addresses, was.Devices, was.Shares);
        Enter(guest);
        Follow(guest);
        Start(was.Id);
    }

    /// <summary>The old one of two volumes is deleted.</summary>
    /// <exception cref="HostRefuses">The guest runs from it.</exception>
    public void DropCopy(GuestId id, bool bulk, string from)
    {
        var guest = Guest(id);
        if ((bulk ? guest.Bulk : guest.System)?.Pool == from)
        {
            throw new HostRefuses($"Device or resource busy: {guest.Figures.Name} runs from the volume in {from}.");
        }

        Give(bulk ? guest.BulkCopy : guest.SystemCopy);
        if (bulk)
        {
            guest.BulkCopy = null;
        }
        else
        {
            guest.SystemCopy = null;
        }
    }
}
