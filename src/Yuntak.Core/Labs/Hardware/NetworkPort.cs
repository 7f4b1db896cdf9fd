using Yuntak.Core.Base;

namespace Yuntak.Core.Labs;

/// <summary>A network port that is really there.</summary>
/// <param name="Name">What the kernel calls it.</param>
/// <param name="Mac">Its hardware address.</param>
/// <param name="SpeedMbps">The speed of its link in Mbit/s; null when it has none or nobody read it.</param>
/// <param name="Up">Whether a link is up; null when nobody looked.</param>
/// <param name="Function">The PCI function it belongs to.</param>
/// <param name="Addresses">Its addresses with the length of their prefix.</param>
/// <param name="Wireless">Whether it works without a cable.</param>
/// <param name="Management">Whether the host is looked after through it.</param>
public sealed record NetworkPort(
    string Name,
    string? Mac = null,
    int? SpeedMbps = null,
    bool? Up = null,
    string? Function = null,
    ValueList<string> Addresses = default,
    bool Wireless = false,
    bool Management = false
);
