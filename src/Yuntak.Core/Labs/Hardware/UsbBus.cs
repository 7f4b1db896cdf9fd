namespace Yuntak.Core.Labs;

/// <summary>A USB bus.</summary>
/// <param name="Number">As the kernel counts it; the first part of every port path on it.</param>
/// <param name="Controller">The PCI address, or the name on boards without PCI, of the controller that owns it; null when it was not read.</param>
/// <param name="Ports">How many ports its root hub has; null when it was not read.</param>
/// <param name="SpeedMbps">Its line rate in Mbit/s.</param>
public sealed record UsbBus(int Number, string? Controller = null, int? Ports = null, int? SpeedMbps = null);
