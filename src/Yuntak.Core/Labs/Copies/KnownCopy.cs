using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>A copy that is there, as a list of a store said.</summary>
/// <param name="Guest">The guest it is of.</param>
/// <param name="Store">The store it lies in, by name.</param>
/// <param name="At">When it was taken, by the clock on the wall: «2026-11-26T22:30».</param>
/// <param name="Size">How large it is; null where the list did not say.</param>
/// <param name="Checked">The day it was last read back and found whole; null while nobody did.</param>
/// <param name="ForGood">Whether no thinning touches it.</param>
public sealed record KnownCopy(
    GuestId Guest,
    string Store,
    string At,
    ByteSize? Size = null,
    DateOnly? Checked = null,
    bool ForGood = false
)
{
    /// <summary>What it is known by among the others.</summary>
    public string Key => $"{Guest.Value} {Store} {At}";
}
