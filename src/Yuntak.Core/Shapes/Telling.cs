using Yuntak.Core.Base;

namespace Yuntak.Core.Shapes;

/// <summary>Gathers the differences between two forms of a thing, in words.</summary>
/// <param name="reading">Whether the second form was read anew: then what grows by itself is no difference.</param>
public sealed class Telling(bool reading = false)
{
    private readonly List<(Happened Kind, string Text, bool Known)> told = [];

    /// <summary>The differences, in the order of the shape; known ones need no work.</summary>
    public IReadOnlyList<(Happened Kind, string Text, bool Known)> Told => told;

    /// <summary>Whether the second form was read anew.</summary>
    public bool Reading => reading;

    /// <summary>Adds one difference.</summary>
    public void Add(Happened kind, string text, bool known = false) => told.Add((kind, text, known));

    /// <summary>Adds a changed value.</summary>
    /// <param name="what">What it is.</param>
    /// <param name="before">It was.</param>
    /// <param name="after">It is.</param>
    /// <param name="known">Whether it needs no work.</param>
    public void Change(string what, string before, string after, bool known = false)
    {
        if (before != after)
        {
            Add(Happened.Changed, $"{what.TrimEnd()} {Arrow.Between(before, after)}", known);
        }
    }
}
