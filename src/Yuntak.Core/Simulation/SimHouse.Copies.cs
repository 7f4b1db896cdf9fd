using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Simulation;

/// <summary>Copies of pools and volumes, and the way back.</summary>
internal sealed partial class SimHouse
{
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
        (guest.Figures, guest.Memory, guest.Family) = (was.Figures, was.Memory, was.Family);
        // What another's engine runs is where that one is by now.
        guest.Host = was.Figures.RunsIn is { } outer ? Guest(outer).Host : was.Host;
        (guest.Bridges, guest.Devices, guest.Shares) = (was.Bridges, was.Devices, was.Shares);
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
