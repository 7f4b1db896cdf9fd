using Yuntak.Core.Profiles;

namespace Yuntak.Core.Labs;

/// <summary>A guest's claim on a device of its host. Way and device are open until somebody chooses.</summary>
/// <param name="Need">What it needs.</param>
/// <param name="Way">How it is handed over; null while that is open.</param>
/// <param name="Device">The device: the address of a function, or the path of a USB port; null while that is open.</param>
/// <param name="Mapped">For a node in an unprivileged container: whether the group that may use it on the host is mapped inside; null while nobody said.</param>
public sealed record DeviceClaim(DeviceNeed Need, ClaimWay? Way = null, string? Device = null, bool? Mapped = null)
{
    /// <summary>Whether device and way are chosen.</summary>
    public bool Chosen => Way is not null && Device is not null;
}
