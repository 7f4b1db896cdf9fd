using Yuntak.Core.Base;

namespace Yuntak.Core.Profiles;

/// <summary>One addend of a sum: an amount times the loads it grows with.</summary>
/// <param name="Label">What it stands for.</param>
/// <param name="Amount">The amount for one unit of each load, in the unit of the sum. Never negative, so that a larger load never gives a smaller size.</param>
/// <param name="Per">The ids of the loads it is multiplied by; none for a fixed addend.</param>
/// <param name="Only">The kinds of guest it counts for; empty for all.</param>
/// <param name="Trade">Whether the amount is a default from common practice; false where it follows from a published unit.</param>
/// <param name="Unless">The ids of yes-or-no loads that must be answered with no for the term to count.</param>
/// <param name="Past">How much of the first load is free: only what is past it counts.</param>
public sealed record Term(
    string Label,
    double Amount,
    ValueList<string> Per = default,
    ValueList<GuestKind> Only = default,
    bool Trade = true,
    ValueList<string> Unless = default,
    double Past = 0
)
{
    /// <summary>Whether the term counts for this kind of guest.</summary>
    public bool CountsFor(GuestKind kind) => Only.Count == 0 || Only.Contains(kind);

    /// <summary>The addend under a load, in the unit of the sum.</summary>
    public double Under(Load load)
    {
        var value = Amount;
        foreach (var id in Unless)
        {
            value = load[id] > 0 ? 0 : value;
        }

        var free = Past;
        foreach (var id in Per)
        {
            value *= Math.Max(0, load[id] - free);
            free = 0;
        }

        return value;
    }
}
