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
        StringBuilder? begun = null;
        while (at < filled || Fill())
        {
            var span = buffer.AsSpan(at, filled - at);
            var end = span.IndexOfAny('\n', '\r');
            if (end < 0)
            {
                begun = Grown(begun, span);
                at = filled;
                continue;
            }

            var line = begun is null && end <= longestLine ? new string(span[..end]) : Grown(begun, span[..end]).ToString();
            at += end + 1;
            if (span[end] == '\r' && (at < filled || Fill()) && buffer[at] == '\n')
            {
                at++;
            }

            return line;
        }

        return begun?.ToString();
    }

    private StringBuilder Grown(StringBuilder? line, ReadOnlySpan<char> text)
    {
        line ??= new StringBuilder();
        return line.Append(text[..Math.Min(text.Length, Math.Max(0, longestLine - line.Length))]);
    }

    private bool Fill()
    {
        if (taken >= longestText)
        {
            CutOff |= reader.Read() >= 0;
            return false;
        }

        at = 0;
        filled = reader.Read(buffer, 0, (int)Math.Min(buffer.Length, longestText - taken));
        taken += filled;
        return filled > 0;
    }
}
