namespace Yuntak.Core.Labs;

/// <summary>Something plugged into a USB port.</summary>
/// <param name="Port">The path to its port, bus-port.port: «3-2.1».</param>
/// <param name="Id">Vendor and product id: «f0f0:0101»; null when it was not read.</param>
/// <param name="Name">What it calls itself.</param>
/// <param name="Hub">Whether it has ports of its own.</param>
/// <param name="BatteryLink">Whether it is the link to a battery backup, which stays with the host.</param>
public sealed record UsbDevice(string Port, string? Id = null, string? Name = null, bool Hub = false, bool BatteryLink = false);
