using System.Text;
using System.Text.RegularExpressions;

namespace Yuntak.Formats.Intake;

/// <summary>Turns what was uploaded or pasted into plain text, or says in one sentence why it is none.</summary>
public static partial class TextDecoder
{
    /// <summary>The longest text that is taken in whole, such as a lab file: 8 MiB.</summary>
    private const int Longest = 8 << 20;

    private const int Sniffed = 512;

    /// <summary>Reads a text that is taken in whole.</summary>
    /// <param name="stream">Where it comes from; read once, at most 8 MiB, not closed.</param>
    /// <param name="problem">Why it cannot be read; null when it can.</param>
    /// <returns>The text; empty when there is a problem.</returns>
    public static string Read(Stream stream, out string? problem)
    {
        var buffer = new MemoryStream();
        var chunk = new byte[64 * 1024];
        int got;
        while (buffer.Length <= Longest && (got = stream.Read(chunk, 0, chunk.Length)) > 0)
        {
            buffer.Write(chunk, 0, got);
        }

        if (buffer.Length > Longest)
        {
            problem = "This is longer than 8 MiB, the most that is read. Is it the right file?";
            return "";
        }

        return Decode(buffer.GetBuffer().AsSpan(0, (int)buffer.Length), out problem);
    }

    /// <summary>Opens a long text for reading piece by piece.</summary>
    /// <param name="stream">Where it comes from; not closed.</param>
    /// <param name="problem">Why it cannot be read; null when it can.</param>
    /// <returns>A reader; null when there is a problem.</returns>
    public static TextReader? Open(Stream stream, out string? problem)
    {
        var start = new byte[Sniffed];
        var got = stream.ReadAtLeast(start, start.Length, throwOnEndOfStream: false);
        problem = Foreign(start.AsSpan(0, got));
        if (problem is null && got > 2 && start[0] != 0xFF && start[0] != 0xFE && start.AsSpan(0, got).Contains((byte)0))
        {
            problem = NotText;
        }

        return problem is null
            ? new StreamReader(
                new PrefixedStream(start.AsMemory(0, got), stream),
                Encoding.UTF8,
                detectEncodingFromByteOrderMarks: true,
                bufferSize: 64 * 1024
            )
            : null;
    }

    private const string NotText = "This is not text: it holds zero bytes. Paste the output of the commands, or upload it as a text file.";

    /// <summary>Decodes bytes: UTF-8 or, with its mark, UTF-16. Colour codes and carriage returns are taken out.</summary>
    public static string Decode(ReadOnlySpan<byte> bytes, out string? problem)
    {
        problem = Foreign(bytes);
        if (problem is not null)
        {
            return "";
        }

        var text =
            bytes.StartsWith((ReadOnlySpan<byte>)[0xFF, 0xFE]) ? Encoding.Unicode.GetString(bytes[2..])
            : bytes.StartsWith((ReadOnlySpan<byte>)[0xFE, 0xFF]) ? Encoding.BigEndianUnicode.GetString(bytes[2..])
            : Encoding.UTF8.GetString(bytes);
        text = Plain(text);
        if (text.Contains('\0', StringComparison.Ordinal))
        {
            problem = NotText;
            return "";
        }

        return text;
    }

    /// <summary>Takes out colour codes, carriage returns and the byte-order mark.</summary>
    public static string Plain(string text) =>
        Escapes().Replace(text, "").Replace("\r\n", "\n", StringComparison.Ordinal).Replace('\r', '\n').TrimStart('\uFEFF');

    /// <summary>Takes colour codes, zero bytes and the byte-order mark out of one line.</summary>
    public static string PlainLine(string line)
    {
        if (line.AsSpan().IndexOfAny('\u001B', '\0', '\uFEFF') < 0)
        {
            return line;
        }

        return Escapes().Replace(line, "").Replace("\0", "", StringComparison.Ordinal).TrimStart('\uFEFF');
    }

    private static string? Foreign(ReadOnlySpan<byte> bytes)
    {
        if (bytes.StartsWith("PK\u0003\u0004"u8))
        {
            return "This is a ZIP archive. Unpack it and give the text file inside.";
        }

        if (bytes.StartsWith((ReadOnlySpan<byte>)[0x1F, 0x8B]))
        {
            return "This is compressed (gzip). Unpack it first and give the text inside.";
        }

        if (bytes.StartsWith("%PDF"u8) || bytes.StartsWith((ReadOnlySpan<byte>)[0x89, (byte)'P', (byte)'N', (byte)'G']))
        {
            return "This is a picture or a PDF. Copy the text itself.";
        }

        var start = Encoding.UTF8.GetString(bytes[..Math.Min(bytes.Length, 512)]).TrimStart('\uFEFF', ' ', '\n', '\r', '\t');
        return
            start.StartsWith("<!doctype", StringComparison.OrdinalIgnoreCase)
            || start.StartsWith("<html", StringComparison.OrdinalIgnoreCase)
            ? "This is a web page (HTML). Save or copy the commands' output itself."
            : null;
    }

    [GeneratedRegex(@"\x1B(\[[0-9;?]*[ -/]*[@-~]|\][^\x07\x1B]*(\x07|\x1B\\)|[@-Z\\-_])", RegexOptions.ExplicitCapture, 5_000)]
    private static partial Regex Escapes();
}
