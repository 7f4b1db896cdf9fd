using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>Acts whose refusal is told elsewhere.</summary>
internal static class Quietly
{
    /// <summary>Does an act; what a host refuses is left as far as it came.</summary>
    public static void DoQuietly(this Act act, SimHouse house, Plan plan)
    {
        try
        {
            act.Do(house, plan);
        }
        catch (HostRefuses)
        {
            // Who calls this tells it, or it is another step's matter.
        }
    }
}
