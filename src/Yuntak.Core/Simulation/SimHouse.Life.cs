using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Simulation;

/// <summary>The life of guests, with the rules of the road: devices, disk size, memory and boot order change only when off, and suspended is not off.</summary>
internal sealed partial class SimHouse
{
    /// <summary>A new guest is on its host's list, switched off.</summary>
    /// <exception cref="HostRefuses">One of that name is there, or there is no room for its disks.</exception>
    public void Create(GuestNeeds needs)
    {
        Host(needs.Host);
        if (GuestIf(needs.Id) is { } there)
        {
            throw new HostRefuses($"A guest called {there.Figures.Name} is on the list already.");
        }

        var system = needs.System is { } s ? Take(s.Host, s.Pool, s.Size, 0) : null;
        SimVolume? bulk;
        try
        {
            bulk = needs.Bulk is { } b ? Take(b.Host, b.Pool, b.Size, 0) : null;
        }
        catch (HostRefuses)
        {
            Give(system);
            throw;
        }

        Add(
            new SimGuest
            {
                Id = needs.Id,
                Figures = needs.Figures,
                Host = needs.Host,
                Memory = needs.Memory,
                System = system,
                Bulk = bulk,
                Bridges = needs.Bridges,
                Ports = needs.Ports,
                Family = needs.Family,
                Installed = needs.Figures.Kind != GuestKind.Machine,
            }
        );
    }

    /// <summary>Starts a guest, or leaves it running.</summary>
    /// <exception cref="HostRefuses">What it needs is not there: memory, its disks, bridges, devices, what runs it.</exception>
    public void Start(GuestId id)
    {
        var guest = Guest(id);
        if (guest.State is GuestState.Running)
        {
            return;
        }

        var host = Host(guest.Host);
        CanStart(guest, host);
        guest.Held = false;
        guest.ComesBack = false;
        guest.Written++;
        SetState(guest, guest is { MediumIn: true, MediumFirst: true } ? GuestState.Installing : GuestState.Running);
        foreach (var inner in Inside(id).Where(g => g.ComesBack).ToList())
        {
            Start(inner.Id);
        }
    }

    private void CanStart(SimGuest guest, SimHost host)
    {
        var name = guest.Figures.Name;
        if (guest.Figures.RunsIn is { } outer)
        {
            if (Guest(outer).State != GuestState.Running)
            {
                throw new HostRefuses($"{Guest(outer).Figures.Name}, whose engine runs {name}, does not run.");
            }
        }
        else if (guest.Figures.Kind == GuestKind.AppStack && !host.Engine)
        {
            throw new HostRefuses($"No container engine answers on {host.Name}.");
        }

        if (guest.Family is { } family && !ProcessorFamily.Runs(host.Processor.Architecture, family))
        {
            throw new HostRefuses($"Exec format error: {name} is made for {family}, {host.Name} is {host.Processor.Architecture}.");
        }

        if (!guest.Installed && guest is not { MediumIn: true, MediumFirst: true })
        {
            throw new HostRefuses(
                guest.HalfInstalled ? $"{name} stops at its boot prompt: its system is half there." : $"No bootable device in {name}."
            );
        }

        foreach (var volume in new[] { guest.System, guest.Bulk }.OfType<SimVolume>())
        {
            if (HostIf(volume.Host)?.Pools.ContainsKey(volume.Pool) != true)
            {
                throw new HostRefuses($"A disk of {name} is not there: no pool called {volume.Pool}.");
            }
        }

        if (guest.Bridges.FirstOrDefault(b => !host.Bridges.ContainsKey(b)) is { } bridge)
        {
            throw new HostRefuses($"{host.Name} has no bridge called {bridge}.");
        }

        foreach (var device in guest.Devices.Where(GuestNeeds.IsAlone))
        {
            if (host.Busy.Contains(device))
            {
                throw new HostRefuses($"Device or resource busy: {device}. {host.Name} itself holds it.");
            }

            if (Holder(guest, device) is { } other)
            {
                throw new HostRefuses($"Device or resource busy: {device}. {other.Figures.Name} has it.");
            }
        }

        PortsAreFree(guest);
        if (guest.State == GuestState.Off && guest.Memory > ByteSize.Zero && guest.Memory > host.FreeMemory)
        {
            throw new HostRefuses(
                $"Cannot allocate memory: {name} wants {guest.Memory}, {ByteSize.Max(ByteSize.Zero, host.FreeMemory)} of {host.Name} are free."
            );
        }
    }

    private SimGuest? Holder(SimGuest asks, string device) =>
        guests.Values.FirstOrDefault(g =>
            g.Id != asks.Id && g.Host == asks.Host && g.State != GuestState.Off && g.Devices.Contains(device)
        );

    /// <summary>Shuts a guest down, and what its engine runs with it.</summary>
    /// <exception cref="HostRefuses">It was only put to sleep.</exception>
    public void ShutDown(GuestId id)
    {
        var guest = Guest(id);
        if (guest.OnlySleeps && guest.State == GuestState.Running)
        {
            (guest.OnlySleeps, guest.State) = (false, GuestState.Suspended);
            Watch(guest);
        }

        MustNotSleep(guest);
        GoDown(guest);
    }

    private void GoDown(SimGuest guest)
    {
        foreach (var inner in Inside(guest.Id).Where(g => g.State == GuestState.Running).ToList())
        {
            inner.ComesBack = true;
            SetState(inner, GuestState.Off);
        }

        SetState(guest, GuestState.Off);
    }

    private static void MustNotSleep(SimGuest guest)
    {
        if (guest.State == GuestState.Suspended)
        {
            throw new HostRefuses($"{guest.Figures.Name} is suspended, and suspended is not off: resume it, then shut it down.");
        }
    }

    /// <summary>A guest that is off.</summary>
    /// <exception cref="HostRefuses">It runs, or sleeps.</exception>
    public SimGuest OffGuest(GuestId id)
    {
        var guest = Guest(id);
        Host(guest.Host);
        MustNotSleep(guest);
        return guest.State == GuestState.Off
            ? guest
            : throw new HostRefuses($"{guest.Figures.Name} runs: that can only be changed while it is off.");
    }

    /// <summary>A guest that runs.</summary>
    /// <exception cref="HostRefuses">It does not.</exception>
    public SimGuest RunningGuest(GuestId id)
    {
        var guest = Guest(id);
        return guest.State == GuestState.Running ? guest : throw new HostRefuses($"{guest.Figures.Name} does not run.");
    }

    /// <summary>Changes the figures of a guest that is off. A disk grows where it lies; a smaller one is made anew and filled from the backup.</summary>
    /// <exception cref="HostRefuses">It is not off, a disk would shrink and there is no backup, or there is no room.</exception>
    public void Change(GuestNeeds needs)
    {
        var guest = OffGuest(needs.Id);
        var shrinks = Smaller(guest.System, needs.System) || Smaller(guest.Bulk, needs.Bulk);
        if (shrinks && guest.Backup is null)
        {
            throw new HostRefuses("A disk grows but never shrinks: there is no backup to fill a smaller one from.");
        }

        guest.System = Resized(guest.System, needs.System, guest.Written);
        guest.Bulk = Resized(guest.Bulk, needs.Bulk, guest.Written);
        Exit(guest);
        (guest.Figures, guest.Host, guest.Memory) = (needs.Figures, needs.Host, needs.Memory);
        (guest.Bridges, guest.Family, guest.Ports) = (needs.Bridges, needs.Family, needs.Ports);
        Enter(guest);
        Follow(guest);
    }

    /// <summary>What runs inside a guest is where that one is.</summary>
    private void Follow(SimGuest outer)
    {
        foreach (var inner in Inside(outer.Id))
        {
            inner.Host = outer.Host;
        }
    }

    private static bool Smaller(SimVolume? now, SimVolume? then) => now is not null && then is not null && then.Size < now.Size;

    private SimVolume? Resized(SimVolume? now, SimVolume? then, int written)
    {
        if (then is null || now is null || now.Host != then.Host || now.Pool != then.Pool)
        {
            // Made anew in another place, or let go: what was in it comes from the backup the recipe has taken.
            Give(now);
            return then is null ? null : Take(then.Host, then.Pool, then.Size, written);
        }

        if (then.Size > now.Size)
        {
            Take(then.Host, then.Pool, then.Size - now.Size, written);
        }
        else
        {
            Give(now with { Size = now.Size - then.Size });
        }

        return now with
        {
            Size = then.Size,
        };
    }

    /// <summary>Takes a guest that is off to another host, its volumes with it. Devices and what its host mounted for it stay behind.</summary>
    /// <exception cref="HostRefuses">It is not off, is not where it is to come from, or there is no room where it goes.</exception>
    public void Move(GuestId id, HostId from, HostId to, GuestNeeds needs)
    {
        var guest = OffGuest(id);
        Host(to);
        if (guest.Host != from)
        {
            throw new HostRefuses($"{guest.Figures.Name} is not on {HostIf(from)?.Name ?? from.Value}.");
        }

        // What has run inside another guest until now gets volumes of its own.
        SimVolume? system = null;
        SimVolume? bulk;
        try
        {
            system = needs.System is { } s ? Take(to, s.Pool, guest.System?.Size ?? s.Size, guest.Written) : null;
            bulk = needs.Bulk is { } b ? Take(to, b.Pool, guest.Bulk?.Size ?? b.Size, guest.Written) : null;
        }
        catch (HostRefuses)
        {
            Give(system);
            throw;
        }

        Give(guest.System);
        Give(guest.Bulk);
        (guest.System, guest.Bulk) = (system, bulk);
        if (guest.Figures.RunsIn != needs.Figures.RunsIn)
        {
            Exit(guest);
            guest.Figures = guest.Figures with { RunsIn = needs.Figures.RunsIn };
            guest.Memory = needs.Memory;
            Enter(guest);
        }

        guest.Host = to;
        guest.Devices = [];
        (guest.Bridges, guest.Ports) = (needs.Bridges, needs.Ports);
        guest.Figures = guest.Figures with { SystemPool = needs.Figures.SystemPool, BulkPool = needs.Figures.BulkPool, Devices = [] };
        Follow(guest);
    }

    /// <summary>Takes a guest off its host's list, its disks with it.</summary>
    /// <exception cref="HostRefuses">It is not off, or runs others.</exception>
    public void Delete(GuestId id)
    {
        var guest = OffGuest(id);
        if (guest is { Backup: null, Served: true })
        {
            Lose($"all of {guest.Figures.Name}, {guest.Size}: there is no backup");
        }

        foreach (var volume in new[] { guest.System, guest.Bulk, guest.SystemCopy, guest.BulkCopy })
        {
            Give(volume);
        }

        Exit(guest);
        guests.Remove(id);
        down.Remove(id);
    }
}
