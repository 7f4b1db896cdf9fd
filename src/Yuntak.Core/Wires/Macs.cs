using Yuntak.Core.Addresses;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>The hardware addresses of guests: as said, else worked out from the guest's id and its network, so that they stay the same and a clone has others.</summary>
public static class Macs
{
    /// <summary>The hardware address of a guest's place on a network.</summary>
    public static string Of(Guest guest, Leg leg) => leg.Mac ?? MacText.For(guest.Id.Value, leg.Network);
}
