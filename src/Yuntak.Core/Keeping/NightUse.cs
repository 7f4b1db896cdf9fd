namespace Yuntak.Core.Keeping;

/// <summary>That something goes over a line.</summary>
/// <param name="Line">The line.</param>
/// <param name="Times">How often each byte goes over it.</param>
public sealed record NightUse(NightLine Line, int Times = 1);
