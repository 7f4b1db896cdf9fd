using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Runbooks;

/// <summary>How devices come to a guest, new or standing: prepared, handed over, their groups mapped, proven.</summary>
internal static class DeviceActs
{
    /// <summary>The acts in order, each with the stage of a new guest's life it brings about; none where nothing comes and nothing is asked for in words.</summary>
    /// <param name="guest">The guest.</param>
    /// <param name="host">Its host.</param>
    /// <param name="needs">What its profiles ask for in words, while nothing is chosen.</param>
    /// <param name="comes">What is handed over.</param>
    public static IEnumerable<(LifeStage Stage, Act Act)> Of(
        Guest guest,
        HostId host,
        ValueList<string> needs,
        ValueList<HandedDevice> comes
    )
    {
        if (comes.Count > 0)
        {
            yield return (LifeStage.DevicesReady, new PrepareDevices(guest.Id, host, comes));
        }

        if (comes.Count + needs.Count > 0)
        {
            yield return (LifeStage.DevicesAttached, new AttachDevices(guest.Id, host, needs, comes, guest.Kind, guest.RunsIn));
        }

        if (
            guest is { Kind: GuestKind.SystemContainer, Privileged: false }
            && comes.Where(d => d.Way == ClaimWay.Node).ToList() is { Count: > 0 } nodes
        )
        {
            yield return (LifeStage.GroupsMapped, new MapGroups(guest.Id, host, [.. nodes]));
        }

        if (comes.Count > 0)
        {
            yield return (LifeStage.DevicesProven, new ProveDevices(guest.Id, host, comes, guest.Kind, guest.RunsIn));
        }
    }
}
