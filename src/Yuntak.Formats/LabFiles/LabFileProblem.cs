using Yuntak.Core.Shapes;

namespace Yuntak.Formats.LabFiles;

/// <summary>Something wrong in a lab file.</summary>
/// <param name="Line">The line, counted from 1.</param>
/// <param name="Path">Where in the file: <c>hosts[0].memory</c>.</param>
/// <param name="Text">What is wrong, and what would be right.</param>
public sealed record LabFileProblem(int Line, string Path, string Text)
{
    /// <summary>Gathered problems, as they are answered.</summary>
    internal static IReadOnlyList<LabFileProblem> Of(ProblemList problems) =>
        [.. problems.Found.Select(p => new LabFileProblem(p.Line, p.Path, p.Text))];

    /// <inheritdoc/>
    public override string ToString() => Path.Length == 0 ? $"line {Line}: {Text}" : $"line {Line}, {Path}: {Text}";
}
