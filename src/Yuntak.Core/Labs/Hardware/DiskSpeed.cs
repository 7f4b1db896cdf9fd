using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>A measured disk speed.</summary>
/// <param name="Job">What the run was called.</param>
/// <param name="Pattern">How it went about it: «randread», «write».</param>
/// <param name="Block">Size of each access, as given.</param>
/// <param name="Read">Rate of reading; null when nothing was read.</param>
/// <param name="ReadsPerSecond">Reads per second.</param>
/// <param name="Write">Rate of writing; null when nothing was written.</param>
/// <param name="WritesPerSecond">Writes per second.</param>
public sealed record DiskSpeed(
    string Job,
    string? Pattern = null,
    string? Block = null,
    DataRate? Read = null,
    double? ReadsPerSecond = null,
    DataRate? Write = null,
    double? WritesPerSecond = null
);
