using System.Text;
using System.Text.RegularExpressions;

namespace Yuntak.Formats.Intake;

/// <summary>Turns what was uploaded or pasted into plain text, or says in one sentence why it is none.</summary>
public static partial class TextDecoder
{
    /// <summary>Reads at most <see cref="IntakeLimits.LongestText"/> from a stream.</summary>
    /// <param name="stream">Where it comes from; read once, not closed.</param>
    /// <param name="problem">Why it cannot be read; null when it can.</param>
    /// <returns>The text; empty when there is a problem.</returns>
    public static string Read(Stream stream, out string? problem)
    {
        var limit = (int)IntakeLimits.LongestText.Bytes;
        var buffer = new MemoryStream();
        var chunk = new byte[64 * 1024];
        int got;
        while (buffer.Length <= limit && (got = stream.Read(chunk, 0, chunk.Length)) > 0)
        {
            buffer.Write(chunk, 0, got);
        }

        if (buffer.Length > limit)
        {
            problem =
                $"This is longer than {IntakeLimits.LongestText}, the most that is read. The output of lscpu, lsblk and /proc/meminfo is far shorter: is it the right file?";
            return "";
        }

        return Decode(buffer.GetBuffer().AsSpan(0, (int)buffer.Length), out problem);
    }

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
            problem = "This is not text: it holds zero bytes. Paste the output of the commands, or upload it as a text file.";
            return "";
        }

        return text;
    }

    /// <summary>Takes out colour codes, carriage returns and the byte-order mark.</summary>
    public static string Plain(string text) =>
        Escapes().Replace(text, "").Replace("\r\n", "\n", StringComparison.Ordinal).Replace('\r', '\n').TrimStart('\uFEFF');

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
