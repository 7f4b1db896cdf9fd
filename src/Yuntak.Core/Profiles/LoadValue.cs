namespace Yuntak.Core.Profiles;

/// <summary>How much of one thing is wanted: 4 cameras.</summary>
/// <param name="Id">The load's id in its profile.</param>
/// <param name="Value">How much, in the load's unit.</param>
public sealed record LoadValue(string Id, double Value);
