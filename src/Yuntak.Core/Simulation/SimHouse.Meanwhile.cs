using Yuntak.Core.Labs;

namespace Yuntak.Core.Simulation;

/// <summary>What keeps guests from running together: folders of one that moves, ports that two want.</summary>
internal sealed partial class SimHouse
{
    /// <summary>Guests go off for as long as what they need is away. Who does not run stays as it is.</summary>
    public void StopMeanwhile(IEnumerable<GuestId> ids)
    {
        foreach (var guest in ids.Select(GuestIf).OfType<SimGuest>().Where(g => g.State == GuestState.Running).ToList())
        {
            ShutDown(guest.Id);
            guest.ComesBack = true;
        }
    }

    /// <summary>Guests that went off for a while start again.</summary>
    /// <exception cref="HostRefuses">What one needs is not there.</exception>
    public void StartAgain(IEnumerable<GuestId> ids)
    {
        foreach (var guest in ids.Select(GuestIf).OfType<SimGuest>().Where(g => g is { ComesBack: true, State: GuestState.Off }).ToList())
        {
            Start(guest.Id);
        }
    }

    /// <summary>Of two that want one port the second does not start.</summary>
    /// <exception cref="HostRefuses">One that runs has it.</exception>
    private void PortsAreFree(SimGuest guest)
    {
        foreach (var port in guest.Ports)
        {
            var other = guests.Values.FirstOrDefault(g =>
                g.Id != guest.Id
                && g.State == GuestState.Running
                && g.Ports.Any(p => p.Clashes(port))
                && !(guest.StoodAt.Contains(port) && g.StoodAt.Any(p => p.Clashes(port)))
            );
            if (other is not null)
            {
                throw new HostRefuses($"Address already in use: {port}. {other.Figures.Name} answers there.");
            }
        }
    }
}
