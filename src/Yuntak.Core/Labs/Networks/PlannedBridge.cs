using Yuntak.Core.Base;

namespace Yuntak.Core.Labs;

/// <summary>A bridge that is planned on a host.</summary>
/// <param name="Name">What the kernel is to call it.</param>
/// <param name="Port">The network port in it; null for a private one, which nobody outside the host sees.</param>
/// <param name="Aware">Whether it keeps tagged networks apart (IEEE 802.1Q).</param>
/// <param name="Networks">The networks it carries, by name.</param>
/// <param name="Mtu">The largest packet in bytes; null for the usual 1,500.</param>
public sealed record PlannedBridge(
    string Name,
    string? Port = null,
    bool Aware = false,
    ValueList<string> Networks = default,
    int? Mtu = null
);
