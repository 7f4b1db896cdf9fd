namespace Yuntak.Formats.Intake;

/// <summary>A stretch of a text that looks like one tool's output.</summary>
/// <param name="Kind">Which tool's.</param>
/// <param name="Text">The stretch; of what is not understood only the beginning.</param>
/// <param name="Line">The line it starts on, counted from 1.</param>
/// <param name="CutOff">Whether it was longer than a part may be.</param>
internal sealed record RawPart(RawKind Kind, string Text, int Line, bool CutOff = false)
{
    /// <summary>Its lines with their numbers, blank ones apart.</summary>
    public IEnumerable<(string Text, int Number)> Lines()
    {
        var number = Line;
        foreach (var line in Text.Split('\n'))
        {
            if (!string.IsNullOrWhiteSpace(line))
            {
                yield return (line, number);
            }

            number++;
        }
    }
}
