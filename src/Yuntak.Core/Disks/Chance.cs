namespace Yuntak.Core.Disks;

/// <summary>A chance within a year, 0 to 1, that is read as people hold on to it.</summary>
/// <param name="Value">0 to 1.</param>
public readonly record struct Chance(double Value)
{
    /// <inheritdoc/>
    public override string ToString() => Odds.Exactly(Value);
}
