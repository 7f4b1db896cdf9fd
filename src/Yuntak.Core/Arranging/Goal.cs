using Google.OrTools.Sat;

namespace Yuntak.Core.Arranging;

/// <summary>One of the goals of an arrangement, as whole numbers.</summary>
/// <param name="Name">Its name in answers.</param>
/// <param name="Words">What it counts, for people.</param>
/// <param name="Sentence">Why it stands where it does among the others.</param>
/// <param name="Most">Whether more is better.</param>
/// <param name="Best">The best there could be whatever is found: more is not to be had.</param>
/// <param name="Sum">It in the model.</param>
/// <param name="Of">It of what was chosen; null where only the model knows.</param>
internal sealed record Goal(
    string Name,
    string Words,
    string Sentence,
    bool Most,
    long Best,
    LinearExpr Sum,
    Func<IReadOnlyList<Choice>, long>? Of
)
{
    /// <summary>How far apart its best and its worst can be: what comes before it outweighs all of that.</summary>
    public required long Range { get; init; }

    /// <summary>Whether it is searched for together with the goal before it, which outweighs it.</summary>
    public bool WithLast { get; init; }

    /// <summary>What it is divided by to be said.</summary>
    public double Scale { get; init; } = 1;
}
