using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>
/// What lies on the disks of every host while a runbook is followed: which disk is in which pool, which guest keeps a volume where, what was copied away. It is
/// asked before anything is wiped, so that no order of steps, however it came about, wipes what stands or is still needed.
/// </summary>
internal sealed class DiskState
{
    private readonly Dictionary<(HostId Host, string Disk), string> pools = [];
    private readonly Dictionary<(GuestId Guest, bool Bulk), (HostId Host, string Pool)> volumes = [];
    private readonly HashSet<(HostId Host, string Pool)> copied = [];

    /// <summary>What stands.</summary>
    public DiskState(Lab stands)
    {
        foreach (var host in stands.Hosts)
        {
            foreach (var pool in host.Pools)
            {
                Made(host.Id, pool.Name, pool.DiskIds);
            }
        }

        foreach (var guest in stands.Guests.Where(g => g.Placement is not null))
        {
            Placed(guest.Id, guest.Placement!);
        }
    }

    private DiskState(DiskState other)
    {
        pools = new(other.pools);
        volumes = new(other.volumes);
        copied = [.. other.copied];
    }

    /// <summary>The same, to go ahead on without changing this.</summary>
    public DiskState Copy() => new(this);

    /// <summary>A pool of these disks is there.</summary>
    public void Made(HostId host, string pool, IEnumerable<string> disks)
    {
        foreach (var disk in disks)
        {
            pools[(host, disk)] = pool;
        }
    }

    /// <summary>A pool is no longer there.</summary>
    public void Apart(HostId host, string pool)
    {
        foreach (var key in pools.Where(p => p.Key.Host == host && p.Value == pool).Select(p => p.Key).ToList())
        {
            pools.Remove(key);
        }
    }

    /// <summary>A pool is called otherwise.</summary>
    public void Renamed(HostId host, string pool, string name)
    {
        foreach (var key in pools.Where(p => p.Key.Host == host && p.Value == pool).Select(p => p.Key).ToList())
        {
            pools[key] = name;
        }

        foreach (var key in volumes.Where(v => v.Value == (host, pool)).Select(v => v.Key).ToList())
        {
            volumes[key] = (host, name);
        }
    }

    /// <summary>A disk has left its pool.</summary>
    public void Left(HostId host, string disk) => pools.Remove((host, disk));

    /// <summary>Everything in a pool has been copied elsewhere.</summary>
    public void CopiedAway(HostId host, string pool) => copied.Add((host, pool));

    /// <summary>What was copied away is back.</summary>
    public void CopiedBack(HostId host, string before, string after)
    {
        copied.Remove((host, before));
        Renamed(host, before, after);
    }

    /// <summary>A guest keeps its volumes here from now on.</summary>
    public void Placed(GuestId guest, Placement place)
    {
        Moved(guest, bulk: false, place.Host, place.SystemPool);
        Moved(guest, bulk: true, place.Host, place.BulkPool);
    }

    /// <summary>One volume of a guest is here from now on; nowhere when no pool is named.</summary>
    public void Moved(GuestId guest, bool bulk, HostId host, string? pool)
    {
        volumes.Remove((guest, bulk));
        if (pool is not null)
        {
            volumes[(guest, bulk)] = (host, pool);
        }
    }

    /// <summary>A guest is gone.</summary>
    public void Gone(GuestId guest)
    {
        volumes.Remove((guest, false));
        volumes.Remove((guest, true));
    }

    /// <summary>The pool a disk is in; null for none.</summary>
    public string? PoolOf(HostId host, string disk) => pools.GetValueOrDefault((host, disk));

    /// <summary>The guests that keep a volume in a pool and nowhere else.</summary>
    public IEnumerable<GuestId> KeptOnlyIn(HostId host, string pool) =>
        copied.Contains((host, pool)) ? [] : volumes.Where(v => v.Value == (host, pool)).Select(v => v.Key.Guest).Distinct();
}
