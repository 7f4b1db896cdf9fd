namespace Yuntak.Formats.Definitions;

/// <summary>What became of one line of a definition.</summary>
/// <param name="Line">The line, counted from 1.</param>
/// <param name="Text">What was read there, or what was not and why.</param>
/// <param name="Read">Whether it was taken over.</param>
public sealed record DefinitionLine(int Line, string Text, bool Read = true);
