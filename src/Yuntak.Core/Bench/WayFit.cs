namespace Yuntak.Core.Bench;

/// <summary>Whether a way of packaging fits a host.</summary>
/// <param name="Host">The host's name.</param>
/// <param name="Fit">The verdict.</param>
/// <param name="Because">The first limit that keeps it out; null when nothing does.</param>
public sealed record WayFit(string Host, Fit Fit, string? Because);
