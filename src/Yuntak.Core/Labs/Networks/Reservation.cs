namespace Yuntak.Core.Labs;

/// <summary>An address that is kept for a hardware address where addresses are handed out.</summary>
/// <param name="Address">The address.</param>
/// <param name="Mac">The hardware address.</param>
/// <param name="Name">The host name that goes with it.</param>
public sealed record Reservation(string Address, string Mac, string Name);
