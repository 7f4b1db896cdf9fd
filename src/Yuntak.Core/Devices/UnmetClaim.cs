using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices;

/// <summary>A claim that cannot be met.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Need">What it needs.</param>
/// <param name="Host">The host it is on.</param>
/// <param name="Reason">Why, in one plain sentence.</param>
/// <param name="SmallestChange">The smallest change that would let it.</param>
/// <param name="Change">That change, where it is one of the plan; null where somebody has to plug, buy or switch something.</param>
public sealed record UnmetClaim(
    Guest Guest,
    DeviceNeed Need,
    Host Host,
    string Reason,
    string SmallestChange,
    Func<Lab, Lab>? Change = null
);
