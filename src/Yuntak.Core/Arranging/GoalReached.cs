namespace Yuntak.Core.Arranging;

/// <summary>How far a goal was reached.</summary>
/// <param name="Name">Its name in answers.</param>
/// <param name="Words">What it counts, for people.</param>
/// <param name="Sentence">Why it stands where it does among the others.</param>
/// <param name="Value">What was reached.</param>
/// <param name="Bound">What nothing can be better than; the same as the value where that is proven best.</param>
/// <param name="Today">What it is as things stand; null where nobody worked it out.</param>
/// <param name="Most">Whether more is better.</param>
public sealed record GoalReached(string Name, string Words, string Sentence, double Value, double Bound, double? Today, bool Most)
{
    /// <summary>Whether nothing better is to be had.</summary>
    public bool Proven => Math.Abs(Value - Bound) < 1e-9;

    /// <summary>Whether it is better than today.</summary>
    public bool Better => Today is { } today && (Most ? Value > today : Value < today);

    /// <summary>Whether it is worse than today: what came before it asked for that.</summary>
    public bool Worse => Today is { } today && (Most ? Value < today : Value > today);
}
