using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The processors of a host, taken together.</summary>
/// <param name="Architecture">As the kernel names it: x86_64, aarch64.</param>
/// <param name="Sockets">Packages on the board.</param>
/// <param name="Cores">Cores in all sockets.</param>
/// <param name="Threads">Hardware threads in all sockets; at least as many as cores.</param>
/// <param name="Virtualisation">Whether virtualisation is there and on; null when nobody knows.</param>
/// <param name="Model">What the maker calls it.</param>
public sealed record Processor(string Architecture, int Sockets, int Cores, int Threads, bool? Virtualisation = null, string? Model = null);
