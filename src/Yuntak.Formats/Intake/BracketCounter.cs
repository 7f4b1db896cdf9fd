using System.Buffers;
using Yuntak.Core.Shapes;

namespace Yuntak.Formats.Intake;

/// <summary>Counts open brackets of a JSON text, line by line, strings apart.</summary>
internal sealed class BracketCounter
{
    private static readonly SearchValues<char> Telling = SearchValues.Create("\"{}[]");
    private int depth;

    /// <summary>Whether a bracket is still open.</summary>
    public bool Open => depth > 0;

    /// <summary>Reads one line more. No string of these tools runs over a line's end, so a quote left open is closed there.</summary>
    public void Read(ReadOnlySpan<char> line)
    {
        var inString = false;
        for (var at = Next(line, inString); at >= 0; at = Next(line, inString))
        {
            switch (line[at])
            {
                case '"':
                    inString = !inString;
                    break;
                case '\\':
                    // Whatever comes next belongs to it.
                    at = Math.Min(at + 1, line.Length - 1);
                    break;
                case '{' or '[':
                    depth++;
                    break;
                default:
                    depth--;
                    break;
            }

            line = line[(at + 1)..];
        }
    }

    private static int Next(ReadOnlySpan<char> line, bool inString) => inString ? line.IndexOfAny('"', '\\') : line.IndexOfAny(Telling);
}
