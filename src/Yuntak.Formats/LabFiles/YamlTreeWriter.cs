using System.Text.Json;
using System.Text.Json.Nodes;
using YamlDotNet.Core;
using YamlDotNet.Core.Events;
using Yuntak.Core.Shapes;

namespace Yuntak.Formats.LabFiles;

/// <summary>Writes a tree of names and values as YAML 1.2, short lists of plain values on one line.</summary>
internal static class YamlTreeWriter
{
    public static string Write(JsonNode tree)
    {
        var text = new StringWriter { NewLine = "\n" };
        var emitter = new Emitter(
            text,
            new EmitterSettings(bestIndent: 2, bestWidth: 10_000, isCanonical: false, maxSimpleKeyLength: 1024)
        );
        emitter.Emit(new StreamStart());
        emitter.Emit(new DocumentStart(null, null, isImplicit: true));
        Emit(emitter, tree);
        emitter.Emit(new DocumentEnd(isImplicit: true));
        emitter.Emit(new StreamEnd());
        return text.ToString();
    }

    private static void Emit(Emitter emitter, JsonNode? node)
    {
        switch (node)
        {
            case JsonObject map:
                emitter.Emit(new MappingStart(null, null, isImplicit: true, MappingStyle.Block));
                foreach (var (key, value) in map)
                {
                    emitter.Emit(Text(key));
                    Emit(emitter, value);
                }

                emitter.Emit(new MappingEnd());
                break;
            case JsonArray list:
                var flow = list.All(i => i is JsonValue);
                emitter.Emit(new SequenceStart(null, null, isImplicit: true, flow ? SequenceStyle.Flow : SequenceStyle.Block));
                foreach (var item in list)
                {
                    Emit(emitter, item);
                }

                emitter.Emit(new SequenceEnd());
                break;
            case JsonValue value when value.GetValueKind() == JsonValueKind.String:
                emitter.Emit(Text(value.GetValue<string>()));
                break;
            default:
                emitter.Emit(
                    new Scalar(
                        null,
                        null,
                        node?.ToJsonString() ?? "null",
                        ScalarStyle.Plain,
                        isPlainImplicit: true,
                        isQuotedImplicit: false
                    )
                );
                break;
        }
    }

    /// <summary>Text is quoted when a YAML reader could take it for something else: a number, a flag, nothing, or a sign of the language.</summary>
    private static Scalar Text(string text)
    {
        var harmless =
            text.Length > 0
            && char.IsAsciiLetter(text[0])
            && text.All(c => char.IsLetterOrDigit(c) || c is ' ' or '-' or '_' or '.' or '/' or '(' or ')' or '+')
            && !text.EndsWith(' ')
            && text.ToLowerInvariant() is not ("true" or "false" or "yes" or "no" or "on" or "off" or "null" or "y" or "n");
        var size =
            text.Length > 2
            && char.IsAsciiDigit(text[0])
            && char.IsAsciiLetter(text[^1])
            && text.Contains(' ', StringComparison.Ordinal)
            && text.All(c => char.IsAsciiLetterOrDigit(c) || c is '.' or ' ');
        return new Scalar(
            null,
            null,
            text,
            harmless || size ? ScalarStyle.Plain : ScalarStyle.DoubleQuoted,
            isPlainImplicit: true,
            isQuotedImplicit: true
        );
    }
}
