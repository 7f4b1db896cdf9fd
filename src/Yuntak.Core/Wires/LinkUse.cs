using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wires;

/// <summary>What runs over a link in its busiest hour.</summary>
/// <param name="From">The host it leaves.</param>
/// <param name="To">Where it goes: a network, or the host that mounts a share.</param>
/// <param name="Share">The share that is read over it; null for all that the host sends.</param>
/// <param name="Peak">The most it carries.</param>
/// <param name="Goodput">What it can carry; null while nobody knows.</param>
/// <param name="Hour">The busiest hour, 0 to 23.</param>
/// <param name="OfShares">How much of the peak is shares.</param>
public sealed record LinkUse(Host From, string To, NetworkShare? Share, DataRate Peak, DataRate? Goodput, int Hour, DataRate OfShares)
{
    private const int HeadersInside = 40;
    private const int FrameAround = 38;

    /// <summary>The part of the line rate that carries data: 40 bytes of each packet are TCP/IPv4 headers, 38 are round it on the wire (IEEE 802.3).</summary>
    /// <param name="mtu">The largest packet in bytes.</param>
    public static double GoodputShare(int mtu) => (mtu - HeadersInside) / (double)(mtu + FrameAround);
}
