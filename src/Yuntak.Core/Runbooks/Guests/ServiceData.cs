using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Where a service keeps what, by the path it sees inside.</summary>
internal static class ServiceData
{
    /// <summary>The values: its data folder, each folder it is given, each share.</summary>
    public static IEnumerable<StepValue> Of(Plan plan, GuestId id)
    {
        if (plan.Guest(id) is not { } guest || plan.Draft.Guest(id) is null)
        {
            yield break;
        }

        var sizing = plan.Sums.Guest(id);
        if (guest.Kind == GuestKind.AppStack)
        {
            foreach (var folder in guest.Folders)
            {
                yield return new("folder inside", $"{folder.ContainerPath}, which is {folder.HostPath} outside", Literal: true);
            }
        }
        else if (GuestVolumes.Bulk(plan.Draft, sizing) is { IsOwn: true, Inside: { } inside })
        {
            yield return new("data folder or database", inside, Literal: true);
        }

        foreach (var mount in guest.Mounts)
        {
            yield return new($"{mount.Share}{(mount.Library ? ", its library" : "")}", mount.At, Literal: true);
        }

        foreach (var folder in plan.Draft.Folders.Where(f => f.Uses.Any(u => u.Guest == id)))
        {
            yield return new($"{folder.Name}, its library", folder.Uses.First(u => u.Guest == id).Path, Literal: true);
        }
    }
}
