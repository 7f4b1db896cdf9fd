namespace Yuntak.Core.Labs;

/// <summary>Where a share lies: one of guest, host and box.</summary>
/// <param name="Guest">The guest that exports it.</param>
/// <param name="Host">The host that does.</param>
/// <param name="Box">The box outside the lab that does, by name.</param>
/// <param name="Path">The folder there.</param>
public sealed record ShareEnd(GuestId? Guest = null, HostId? Host = null, string? Box = null, string Path = "");
