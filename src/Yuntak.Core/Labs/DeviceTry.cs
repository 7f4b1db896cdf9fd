namespace Yuntak.Core.Labs;

/// <summary>A controller that was tried while looking for a stick.</summary>
/// <param name="Looked">What was looked for, in words.</param>
/// <param name="Controller">The PCI address of the controller that was tried.</param>
/// <param name="Seen">Whether the stick was seen.</param>
/// <param name="On">The day.</param>
public sealed record DeviceTry(string Looked, string Controller, bool Seen, DateOnly On);
