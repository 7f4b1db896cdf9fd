namespace Yuntak.Core.Labs;

/// <summary>The firmware a host starts with.</summary>
/// <param name="Date">The day it was made.</param>
/// <param name="Version">As it calls itself.</param>
/// <param name="Board">The board it is for.</param>
public sealed record Firmware(DateOnly? Date = null, string? Version = null, string? Board = null);
