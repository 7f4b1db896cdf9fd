using Yuntak.Core.Base;

namespace Yuntak.Core.Labs;

/// <summary>Another place, joined by a tunnel.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Prefixes">The networks there.</param>
/// <param name="Tunnel">The guest that keeps the tunnel; null while nobody said.</param>
public sealed record RemoteSite(string Name, ValueList<string> Prefixes = default, GuestId? Tunnel = null);
