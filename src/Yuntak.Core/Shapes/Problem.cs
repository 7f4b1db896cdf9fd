using Yuntak.Core.Base;

namespace Yuntak.Core.Shapes;

/// <summary>Something wrong with a value, said the same at every door: a form, a file, an edit, the command line.</summary>
/// <param name="Path">Where it is in the thing that was looked at: <c>processor.threads</c>.</param>
/// <param name="Text">What is wrong and what would be right, without a full stop when <paramref name="Label"/> says what it is about.</param>
/// <param name="Label">What people call the value; null when the text says it itself.</param>
public sealed record Problem(string Path, string Text, string? Label = null)
{
    /// <summary>The problem as a sentence of its own.</summary>
    public string Sentence => string.IsNullOrEmpty(Label) ? Text : $"{char.ToUpperInvariant(Label[0])}{Label[1..]}: {Text}.";

    /// <summary>The same problem, seen from further up.</summary>
    public Problem Below(string path) => this with { Path = Path.Length == 0 ? path : $"{path}.{Path}" };

    /// <summary>Refuses the first of some problems, if there is one.</summary>
    /// <exception cref="Refused">There is one.</exception>
    public static void Refuse(IEnumerable<Problem> problems)
    {
        foreach (var problem in problems)
        {
            throw new Refused(problem.Sentence);
        }
    }
}
