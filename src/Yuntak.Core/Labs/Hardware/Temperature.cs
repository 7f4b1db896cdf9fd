namespace Yuntak.Core.Labs;

/// <summary>A temperature when the host was read.</summary>
/// <param name="Where">The sensor.</param>
/// <param name="Celsius">In degrees Celsius.</param>
/// <param name="High">The limit its maker gives for steady running, in degrees Celsius, when known.</param>
public sealed record Temperature(string Where, double Celsius, double? High = null);
