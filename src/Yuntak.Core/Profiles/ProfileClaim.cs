using Yuntak.Core.Base;

namespace Yuntak.Core.Profiles;

/// <summary>A device that a service needs, and when.</summary>
/// <param name="Need">What sort of device.</param>
/// <param name="Per">Loads of which one must be more than nothing; empty when it is always needed.</param>
/// <param name="Unless">Questions that, answered with yes, make it needless.</param>
public sealed record ProfileClaim(DeviceNeed Need, ValueList<string> Per = default, ValueList<string> Unless = default)
{
    /// <summary>Whether it is needed under a load.</summary>
    public bool CountsUnder(Load load) => (Per.Count == 0 || Per.Any(id => load[id] > 0)) && !Unless.Any(id => load[id] > 0);
}
