using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices;

/// <summary>All that a guest claims: what was said, what is listed as handed over whole, and what its profiles bring along and nothing said meets.</summary>
public static class GuestClaims
{
    /// <summary>The claims of a guest.</summary>
    /// <param name="lab">Its lab.</param>
    /// <param name="guest">The guest.</param>
    public static IReadOnlyList<AskedClaim> Of(Lab lab, Guest guest) => Of(lab.HostOf(guest)?.Hardware ?? Hardware.None, lab.Book, guest);

    /// <summary>The same, with the hardware of its host and the profiles of its lab looked up already.</summary>
    internal static IReadOnlyList<AskedClaim> Of(Hardware hardware, ProfileBook book, Guest guest)
    {
        List<DeviceNeed> brought = [.. Brought(book, guest)];
        List<AskedClaim> asked =
        [
            .. guest.Claims.Select(c => new AskedClaim(guest, c, AskedBy.Claim)),
            .. guest
                .Devices.Distinct(StringComparer.Ordinal)
                .Where(d => !guest.Claims.Any(c => c.Way == ClaimWay.Whole && c.Device == d))
                .Select(d => new AskedClaim(guest, new DeviceClaim(Met(hardware.Function(d), brought), ClaimWay.Whole, d), AskedBy.Listed)),
        ];
        asked.AddRange(
            brought
                .Where(need =>
                    asked.TrueForAll(a =>
                        a.Claim.Need != need && !(a.Claim.Way == ClaimWay.Whole && Carries(hardware, a.Claim.Device, need))
                    )
                )
                .Select(need => new AskedClaim(guest, new DeviceClaim(need), AskedBy.Profile))
                .ToList()
        );
        return [.. asked.Select((a, n) => a with { Number = n })];
    }

    private static IEnumerable<DeviceNeed> Brought(ProfileBook book, Guest guest) =>
        guest
            .Wants.SelectMany(w =>
                book.Find(w.ProfileId) is not { Claims.Count: > 0 } profile ? []
                : new Load(profile, w.Load) is var load ? profile.Claims.Where(c => c.CountsUnder(load)).Select(c => c.Need)
                : []
            )
            .Distinct()
            .Where(n => !guest.GoesWithout.Contains(n) && !guest.Nodes.Any(node => DeviceSorts.IsNodeFor(node, n)));

    /// <summary>The need a listed function meets: a USB controller is handed over for the stick on it that the guest's profiles ask for.</summary>
    private static DeviceNeed Met(PciFunction? function, List<DeviceNeed> brought) =>
        function is not null && DeviceSorts.IsUsbController(function) && brought.Where(DeviceSorts.MayBeUsb).ToList() is [var need, ..]
            ? need
            : DeviceSorts.NeedOf(function);

    /// <summary>Whether a controller that is handed over whole brings what is needed along on its ports.</summary>
    private static bool Carries(Hardware hardware, string? device, DeviceNeed need) =>
        DeviceSorts.MayBeUsb(need)
        && device is not null
        && hardware.Function(device) is { } function
        && DeviceSorts.IsUsbController(function);
}
