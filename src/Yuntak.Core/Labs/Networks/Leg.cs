namespace Yuntak.Core.Labs;

/// <summary>A place on a network: of a guest, or of a host itself.</summary>
/// <param name="Network">The network's name.</param>
/// <param name="Address">The address it keeps, without a prefix length; null where it is handed one.</param>
/// <param name="Mac">Its hardware address; null for the one Yuntak works out.</param>
/// <param name="Bridge">The bridge of the host it hangs on; null for the one that carries the network.</param>
public sealed record Leg(string Network, string? Address = null, string? Mac = null, string? Bridge = null);
