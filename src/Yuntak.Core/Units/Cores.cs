namespace Yuntak.Core.Units;

/// <summary>An amount of processor work: how many cores it keeps busy. 1.0 is one whole core of the host.</summary>
/// <param name="Value">In cores; fractions are usual.</param>
public readonly record struct Cores(double Value) : IComparable<Cores>
{
    /// <inheritdoc/>
    public int CompareTo(Cores other) => Value.CompareTo(other.Value);

    /// <summary>Adds two loads.</summary>
    public static Cores operator +(Cores a, Cores b) => new(a.Value + b.Value);

    /// <summary>Subtracts one load from another.</summary>
    public static Cores operator -(Cores a, Cores b) => new(a.Value - b.Value);

    /// <summary>Scales a load by a plain number.</summary>
    public static Cores operator *(Cores a, double factor) => new(a.Value * factor);

    /// <summary>Whether the left load is smaller.</summary>
    public static bool operator <(Cores a, Cores b) => a.Value < b.Value;

    /// <summary>Whether the left load is larger.</summary>
    public static bool operator >(Cores a, Cores b) => a.Value > b.Value;

    /// <summary>Whether the left load is smaller or the same.</summary>
    public static bool operator <=(Cores a, Cores b) => a.Value <= b.Value;

    /// <summary>Whether the left load is larger or the same.</summary>
    public static bool operator >=(Cores a, Cores b) => a.Value >= b.Value;

    /// <summary>The load for people: «9.1 cores», with a second decimal below one core.</summary>
    public override string ToString() => (Value < 1 ? Numbers.Short(Value) : Numbers.OneDecimal(Value)) + Numbers.ThinSpace + "cores";
}
