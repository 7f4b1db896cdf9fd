using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Runbooks;

/// <summary>A device that is handed over, and how.</summary>
/// <param name="Need">What it is needed for.</param>
/// <param name="Way">The way.</param>
/// <param name="Device">The device.</param>
internal sealed record HandedDevice(DeviceNeed Need, ClaimWay Way, string Device)
{
    /// <summary>What a guest is handed, of all that it claims.</summary>
    public static ValueList<HandedDevice> Of(Lab lab, Guest guest) =>
        guest.Devices.Count == 0 && guest.Claims.Count == 0
            ? []
            :
            [
                .. GuestClaims
                    .Of(lab, guest)
                    .Where(a => a.Claim.Chosen)
                    .Select(a => new HandedDevice(a.Claim.Need, a.Claim.Way!.Value, a.Claim.Device!)),
            ];

    /// <summary>Whether two forms of a guest are handed the same devices the same ways, whatever they are needed for.</summary>
    public static bool Same(Lab labBefore, Guest before, Lab labAfter, Guest after) =>
        Of(labBefore, before)
            .Select(d => d.Key)
            .Order(StringComparer.Ordinal)
            .SequenceEqual(Of(labAfter, after).Select(d => d.Key).Order(StringComparer.Ordinal));

    /// <summary>Way and device, as a tick belongs to them.</summary>
    public string Key => GuestNeeds.DeviceKey(Way, Device);

    /// <summary>The lines of some layers, for people to type.</summary>
    public IEnumerable<StepValue> Lines(Plan plan, HostId? host, params ClaimLayer[] layers) =>
        plan.Host(host) is { } there
            ? ClaimLines
                .Of(plan.MapOf(there), Need, Way, Device)
                .Where(l => layers.Contains(l.Where))
                .Select(l => new StepValue(l.Label, l.Line, Literal: true))
            : [];
}
