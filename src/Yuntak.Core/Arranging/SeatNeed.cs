using Yuntak.Core.Devices;

namespace Yuntak.Core.Arranging;

/// <summary>A device a guest has to have on a host.</summary>
/// <param name="Asked">The claim, as it would be on that host.</param>
/// <param name="Ways">The ways it could be met there if nobody else claimed anything.</param>
internal sealed record SeatNeed(AskedClaim Asked, IReadOnlyList<ClaimVerdict> Ways);
