using System.Net;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>A place on a network, and who has it.</summary>
/// <param name="Network">The network.</param>
/// <param name="Who">Who has it.</param>
/// <param name="How">How the holder comes by its address.</param>
/// <param name="Address">The address; null where it is any that is free.</param>
/// <param name="Mac">The hardware address; null where it is not known.</param>
/// <param name="WasRead">Whether it was read of a host, and not planned.</param>
public sealed record HeldAddress(Network Network, Holder Who, AddressHow How, IPAddress? Address, string? Mac, bool WasRead = false);
