using Yuntak.Core.Labs;

namespace Yuntak.Core.Simulation;

/// <summary>Guests that are off while something they need is away.</summary>
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
}
