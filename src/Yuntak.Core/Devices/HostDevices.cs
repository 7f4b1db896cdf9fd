using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices;

/// <summary>The devices of one host with all that its guests claim of them, worked out once.</summary>
public sealed class HostDevices
{
    private readonly Once<IReadOnlyList<ClaimVerdict>> verdicts;

    internal HostDevices(Lab lab, Host host)
    {
        Check = ClaimCheck.On(lab, DeviceMap.Of(host));
        verdicts = new(() => [.. Check.Claims()]);
    }

    /// <summary>The check of its claims.</summary>
    public ClaimCheck Check { get; }

    /// <summary>How its hardware hangs together.</summary>
    public DeviceMap Map => Check.Map;

    /// <summary>The host.</summary>
    public Host Host => Map.Host;

    /// <summary>What becomes of each claim, in the order of <see cref="ClaimCheck.Asked"/>.</summary>
    public IReadOnlyList<ClaimVerdict> Verdicts => verdicts.Value;
}
