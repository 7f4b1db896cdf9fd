using System.Text;
using System.Text.Json;

namespace Yuntak.Formats.Intake;

/// <summary>Reads JSON, and what is whole of a JSON text that breaks off or goes wrong in the middle.</summary>
internal static class JsonSalvage
{
    private static readonly JsonDocumentOptions Tolerant = new()
    {
        AllowTrailingCommas = true,
        CommentHandling = JsonCommentHandling.Skip,
        MaxDepth = 64,
    };

    /// <summary>The document, or null when not even a beginning can be read.</summary>
    /// <param name="text">The text.</param>
    /// <param name="firstLine">The line the text starts on, for the message.</param>
    /// <param name="problem">What is wrong and where; null when nothing is.</param>
    public static JsonDocument? Read(string text, int firstLine, out string? problem)
    {
        try
        {
            problem = null;
            return JsonDocument.Parse(text, Tolerant);
        }
        catch (JsonException broken)
        {
            var line = firstLine + (int)(broken.LineNumber ?? 0);
            problem = $"line {line}: the text breaks off or is not JSON here; what is whole before it was kept";
            foreach (var candidate in Beginnings(text))
            {
                try
                {
                    return JsonDocument.Parse(candidate, Tolerant);
                }
                catch (JsonException)
                {
                    // The next, shorter beginning may do.
                }
            }

            return null;
        }
    }

    /// <summary>Beginnings of the text that end after a whole object, the longest first, with the open brackets closed.</summary>
    private static IEnumerable<string> Beginnings(string text)
    {
        List<(int End, string Close)> ends = [];
        var open = new Stack<char>();
        var inString = false;
        for (var i = 0; i < text.Length; i++)
        {
            var c = text[i];
            if (inString)
            {
                i += c == '\\' ? 1 : 0;
                inString = c != '"';
            }
            else if (c == '"')
            {
                inString = true;
            }
            else if (c is '{' or '[')
            {
                open.Push(c == '{' ? '}' : ']');
            }
            else if (c is '}' or ']' && open.Count > 0)
            {
                open.Pop();
                ends.Add((i + 1, string.Concat(open)));
            }
        }

        // Where it goes wrong in the middle, a handful of steps back from the end is enough; more would make garbage expensive.
        const int Tries = 24;
        return ends.AsEnumerable()
            .Reverse()
            .Take(Tries)
            .Select(e => new StringBuilder(text, 0, e.End, e.End + 16).Append(e.Close).ToString());
    }
}
