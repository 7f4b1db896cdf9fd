namespace Yuntak.Core.Units;

/// <summary>
/// A part of a whole: 0.5 is half of it, 1.2 a fifth more than all of it. Limits are compared with a tolerance of 1e-9 of the limit, so that sums at a round
/// figure count as that figure; ordering (<see cref="CompareTo"/>) and equality are exact.
/// </summary>
/// <param name="Value">The part; infinite for something of nothing.</param>
public readonly record struct Share(double Value) : IComparable<Share>
{
    // 15 guests of 0.4 cores are 120 % of 5 cores, not a hair more, though their sum in binary is.
    private const double Tolerance = 1e-9;

    /// <summary>All of it.</summary>
    public static readonly Share All = new(1);

    /// <inheritdoc/>
    public int CompareTo(Share other) => Value.CompareTo(other.Value);

    /// <summary>That part of a size.</summary>
    public static ByteSize operator *(ByteSize whole, Share part) => whole * part.Value;

    /// <summary>That part of a number.</summary>
    public static double operator *(double whole, Share part) => whole * part.Value;

    /// <summary>Whether the left is smaller, by more than rounding.</summary>
    public static bool operator <(Share a, Share b) => b.Value - a.Value > Tolerance * Math.Abs(b.Value);

    /// <summary>Whether the left is larger, by more than rounding.</summary>
    public static bool operator >(Share a, Share b) => a.Value - b.Value > Tolerance * Math.Abs(b.Value);

    /// <summary>Whether the left is smaller or the same.</summary>
    public static bool operator <=(Share a, Share b) => !(a > b);

    /// <summary>Whether the left is larger or the same.</summary>
    public static bool operator >=(Share a, Share b) => !(a < b);

    /// <summary>For people, in whole per cent: «84 %».</summary>
    public override string ToString() => Numbers.Percent(Value);
}
