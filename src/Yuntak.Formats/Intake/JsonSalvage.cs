using System.Text;
using System.Text.Json;

namespace Yuntak.Formats.Intake;

/// <summary>Reads JSON, and what is whole of a JSON text that breaks off or goes wrong in the middle.</summary>
internal static class JsonSalvage
{
    private const int Deepest = 64;

    private static readonly JsonDocumentOptions Tolerant = new()
    {
        AllowTrailingCommas = true,
        CommentHandling = JsonCommentHandling.Skip,
        MaxDepth = Deepest,
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
            return Beginning(Encoding.UTF8.GetBytes(text)) is { } beginning ? Whole(beginning) : null;
        }
    }

    private static JsonDocument? Whole(byte[] beginning)
    {
        try
        {
            return JsonDocument.Parse(beginning, Tolerant);
        }
        catch (JsonException)
        {
            return null;
        }
    }

    /// <summary>The longest beginning that ends after a whole object or array, with the brackets that are open there closed; null when there is none.</summary>
    private static byte[]? Beginning(byte[] text)
    {
        var open = new Stack<byte>();
        var end = 0;
        byte[] close = [];
        var reader = new Utf8JsonReader(
            text,
            new JsonReaderOptions
            {
                AllowTrailingCommas = true,
                CommentHandling = JsonCommentHandling.Skip,
                MaxDepth = Deepest,
            }
        );
        try
        {
            while (reader.Read())
            {
                if (reader.TokenType is JsonTokenType.StartObject or JsonTokenType.StartArray)
                {
                    open.Push(reader.TokenType == JsonTokenType.StartObject ? (byte)'}' : (byte)']');
                }
                else if (reader.TokenType is JsonTokenType.EndObject or JsonTokenType.EndArray)
                {
                    open.Pop();
                    end = (int)reader.BytesConsumed;
                    close = [.. open];
                }
            }
        }
        catch (JsonException)
        {
            // Here it goes wrong; what is before is what there is.
        }

        return end == 0 ? null : [.. text.AsSpan(0, end), .. close];
    }
}
