namespace Yuntak.Core.Devices;

/// <summary>Something the host itself needs.</summary>
/// <param name="What">The address of the function.</param>
/// <param name="Why">Why, in words.</param>
public sealed record HostNeed(string What, string Why);
