using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Simulation;

/// <summary>What is there when the work begins.</summary>
internal sealed partial class SimHouse
{
    /// <summary>A guest stands, as far in its life as it is. Its volumes are counted in their pools already.</summary>
    /// <param name="needs">What it is.</param>
    /// <param name="life">How far it has come.</param>
    /// <param name="throwAway">Whether it is there to be broken, and starts with nobody.</param>
    public void Stand(GuestNeeds needs, LifeStage life, bool throwAway)
    {
        var runs =
            needs.Figures.Kind == GuestKind.AppStack
                ? life >= LifeStage.StackStarted
                : life is LifeStage.Installed or >= LifeStage.StartsUnattended;
        var guest = new SimGuest
        {
            Id = needs.Id,
            Figures = needs.Figures,
            Host = needs.Host,
            Memory = needs.Memory,
            System = needs.System,
            Bulk = needs.Bulk,
            Bridges = needs.Bridges,
            Ports = needs.Ports,
            StoodAt = runs ? needs.Ports : [],
            Family = needs.Family,
            Devices = life >= LifeStage.DevicesAttached ? needs.Devices : [],
            Shares = life >= LifeStage.SharesIn ? needs.Shares : [],
            Installed = life >= LifeStage.Installed || needs.Figures.Kind != GuestKind.Machine,
            MediumIn = life is LifeStage.MediumAttached or LifeStage.Installed,
            MediumFirst = life is LifeStage.MediumAttached or LifeStage.Installed,
            Starts = life >= LifeStage.AutostartSet && !throwAway,
            Served = life >= LifeStage.ServiceIn,
        };
        if (life >= LifeStage.ServiceIn)
        {
            guest.Settled = guest.Settled.Add("service");
        }

        Add(guest);
        var host = Host(needs.Host);
        host.Images = host.Images.Add(needs.Id);
        if (runs)
        {
            SetState(guest, GuestState.Running);
        }
    }
}
