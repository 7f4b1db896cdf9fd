namespace Yuntak.Formats.Intake;

/// <summary>Counts open brackets of a JSON text, line by line, strings apart.</summary>
internal sealed class BracketCounter
{
    private int depth;
    private bool inString;
    private bool escaped;

    /// <summary>Whether a bracket is still open.</summary>
    public bool Open => depth > 0;

    /// <summary>Reads one line more. No string of these tools runs over a line's end, so a quote left open is closed there.</summary>
    public void Read(string line)
    {
        foreach (var c in line)
        {
            if (inString)
            {
                (inString, escaped) = escaped ? (true, false) : (c != '"', c == '\\');
            }
            else if (c == '"')
            {
                inString = true;
            }
            else if (c is '{' or '[')
            {
                depth++;
            }
            else if (c is '}' or ']')
            {
                depth--;
            }
        }

        inString = escaped = false;
    }
}
