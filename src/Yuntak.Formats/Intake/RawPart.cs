namespace Yuntak.Formats.Intake;

/// <summary>A stretch of a text that looks like one tool's output.</summary>
/// <param name="Kind">Which tool's.</param>
/// <param name="Text">The stretch.</param>
/// <param name="Line">The line it starts on, counted from 1.</param>
internal sealed record RawPart(RawKind Kind, string Text, int Line);
