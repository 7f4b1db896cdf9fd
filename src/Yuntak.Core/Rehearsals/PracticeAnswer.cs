namespace Yuntak.Core.Rehearsals;

/// <summary>What a simulated host answered to a move.</summary>
/// <param name="Move">The move.</param>
/// <param name="Words">What it comes to: «Start it».</param>
/// <param name="Done">Whether the host did it.</param>
/// <param name="Message">What the host said.</param>
public sealed record PracticeAnswer(PracticeMove Move, string Words, bool Done, string Message);
