using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Arranging;

/// <summary>Where a guest goes, or stays.</summary>
/// <param name="Guest">The guest as it is.</param>
/// <param name="Host">The host it is put on.</param>
/// <param name="Place">Its host and pools; of a host that is only offered, as it would be called.</param>
/// <param name="Kind">How it is packaged there.</param>
/// <param name="From">The host it is on now; null while it is on none.</param>
/// <param name="Offer">What has to be bought for it; null for nothing.</param>
public sealed record ArrangedGuest(Guest Guest, Host Host, Placement Place, GuestKind Kind, Host? From, HostOffer? Offer)
{
    /// <summary>Whether it goes to another host, or to one at last.</summary>
    public bool Moves => From?.Id != Host.Id;

    /// <summary>Whether anything of it changes: the host, the packaging, or a pool.</summary>
    public bool Changes => Moves || Kind != Guest.Kind || Place != Guest.Placement;
}
