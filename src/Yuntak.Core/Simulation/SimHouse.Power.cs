using Yuntak.Core.Labs;

namespace Yuntak.Core.Simulation;

/// <summary>Hosts going down and coming up, and who runs.</summary>
internal sealed partial class SimHouse
{
    /// <summary>A host goes down in good order; what ran comes back with it.</summary>
    public void PowerOff(HostId id)
    {
        var host = Host(id);
        foreach (var guest in guests.Values.Where(g => g.Host == id && g.Figures.RunsIn is null && g.State != GuestState.Off).ToList())
        {
            guest.ComesBack = guest.State is GuestState.Running or GuestState.Suspended;
            GoDown(guest);
        }

        host.On = false;
    }

    /// <summary>A host comes up, and what ran before with it.</summary>
    /// <exception cref="HostRefuses">A guest that ran before does not start any more.</exception>
    public void PowerOn(HostId id)
    {
        HostIf(id)!.On = true;
        foreach (var guest in guests.Values.Where(g => g.Host == id && g.Figures.RunsIn is null && g.ComesBack).ToList())
        {
            Start(guest.Id);
        }
    }

    /// <summary>A host loses power and comes up again when it is back. An installation that ran is half there; who is set to start does, who is held does not.</summary>
    public void CutPower(HostId id)
    {
        var host = Host(id);
        foreach (var guest in guests.Values.Where(g => g.Host == id && g.Figures.RunsIn is null && g.State != GuestState.Off).ToList())
        {
            guest.ComesBack = guest.State == GuestState.Running && guest is { Starts: true, Held: false };
            GoDown(guest);
        }

        host.On = false;
    }

    private void SetState(SimGuest guest, GuestState state)
    {
        if (HostIf(guest.Host) is { } host && guest.State == GuestState.Off != (state == GuestState.Off))
        {
            host.Taken = state == GuestState.Off ? host.Taken - guest.Memory : host.Taken + guest.Memory;
        }

        guest.State = state;
        Watch(guest);
    }

    private void Watch(SimGuest guest)
    {
        if (guest.Served && guest.State != GuestState.Running)
        {
            down.Add(guest.Id);
        }
        else
        {
            down.Remove(guest.Id);
        }
    }
}
