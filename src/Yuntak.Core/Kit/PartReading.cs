using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit;

/// <summary>What became of one part of a pasted or uploaded text.</summary>
/// <param name="Part">Which part: one of <see cref="KitParts"/>, or «other» for what was not understood.</param>
/// <param name="Read">How many things were read from it.</param>
/// <param name="Problems">What is wrong with it, each naming its line; empty when all is well.</param>
/// <param name="Line">The line it starts on, counted from 1; 0 when unknown.</param>
public sealed record PartReading(string Part, int Read, IReadOnlyList<string> Problems, int Line = 0)
{
    /// <summary>The most problems listed of one part; a count stands for the rest.</summary>
    public const int MostProblems = 12;

    /// <summary>What was not run on the host, and what would bring it: good to know, and no fault of what was given.</summary>
    public IReadOnlyList<string> Hints { get; init; } = [];

    /// <summary>«read 9 things», or what became of it.</summary>
    public string Words =>
        Read > 0 ? $"read {Units.Numbers.Count(Read, "thing")}"
        : Problems.Count == 0 && Hints.Count > 0 ? "not run"
        : Problems.Count == 0 ? "nothing in it"
        : "nothing read";
}
