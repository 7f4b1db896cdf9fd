namespace Yuntak.Core.Rehearsals;

/// <summary>A fault to switch on, and where.</summary>
/// <param name="Fault">The fault's name.</param>
/// <param name="Step">The step's id or its number; null for the worst.</param>
public sealed record FaultAt(string Fault, string? Step);
