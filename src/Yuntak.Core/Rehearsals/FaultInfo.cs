namespace Yuntak.Core.Rehearsals;

/// <summary>A fault that can be switched on.</summary>
/// <param name="Name">What it is called in files and on the command line.</param>
/// <param name="Words">What happens, in a few words.</param>
public sealed record FaultInfo(string Name, string Words);
