using System.Text;

namespace Yuntak.Formats.Intake;

/// <summary>Reads a text line by line, without ever holding more than one part's worth of it, and stops at the longest text.</summary>
internal sealed class BoundedLines(TextReader reader, long longestText, int longestLine)
{
    private readonly char[] buffer = new char[64 * 1024];
    private int at;
    private int filled;
    private long taken;

    /// <summary>Whether the text went on past the longest that is read.</summary>
    public bool CutOff { get; private set; }

    /// <summary>The next line without its end, cut at the longest; null at the end of the text. LF, CRLF and CR end a line.</summary>
    public string? Next()
    {
        var line = new StringBuilder();
        var any = false;
        while (true)
        {
            if (at == filled && !Fill())
            {
                return any ? line.ToString() : null;
            }

            any = true;
            var span = buffer.AsSpan(at, filled - at);
            var end = span.IndexOfAny('\n', '\r');
            var text = end < 0 ? span : span[..end];
            line.Append(text[..Math.Min(text.Length, Math.Max(0, longestLine - line.Length))]);
            if (end < 0)
            {
                at = filled;
                continue;
            }

            at += end + 1;
            if (span[end] == '\r' && (at < filled || Fill()) && buffer[at] == '\n')
            {
                at++;
            }

            return line.ToString();
        }
    }

    private bool Fill()
    {
        if (taken >= longestText)
        {
            CutOff |= reader.Peek() >= 0;
            return false;
        }

        at = 0;
        filled = reader.Read(buffer, 0, (int)Math.Min(buffer.Length, longestText - taken));
        taken += filled;
        return filled > 0;
    }
}
