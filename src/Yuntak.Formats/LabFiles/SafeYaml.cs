using YamlDotNet.Core;
using YamlDotNet.Core.Events;
using YamlDotNet.RepresentationModel;
using Yuntak.Core.Base;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Formats.LabFiles;

/// <summary>Loads YAML or JSON somebody hands in, within limits.</summary>
internal static class SafeYaml
{
    /// <summary>The first document of the text; null, with the problem noted, when there is none to be had.</summary>
    /// <param name="text">The text.</param>
    /// <param name="problems">Where problems are noted.</param>
    /// <param name="references">Whether references to other places are allowed, as Compose files use them; who reads must not follow them without end.</param>
    public static INode? Root(string text, ProblemList problems, bool references = false)
    {
        if (text.Length > LabFileLimits.LongestFile.Bytes)
        {
            return Refused(1, $"the file is longer than {LabFileLimits.LongestFile}, the most that is read");
        }

        if (Lines(text) is { } lines)
        {
            return Refused(lines.Line, lines.Text);
        }

        var stream = new YamlStream();
        try
        {
            if (Hazard(text, references) is { } hazard)
            {
                return Refused(hazard.Line, hazard.Text);
            }

            stream.Load(new StringReader(text));
        }
        catch (YamlException broken)
        {
            return Refused((int)broken.Start.Line, $"this is neither YAML nor JSON: {Names.Clean(broken.Message.Split(": ", 2)[^1])}");
        }
        catch (Exception broken) when (broken is InvalidOperationException or ArgumentException)
        {
            // The YAML library gives up this way on some broken input, without saying where.
            return Refused(1, "this is neither YAML nor JSON: brackets or keys in it do not belong together");
        }

        return stream.Documents.Count == 0 ? Refused(1, "the file is empty") : new YamlPlace(stream.Documents[0].RootNode);

        INode? Refused(int line, string why)
        {
            problems.Note(line, "", why);
            return null;
        }
    }

    /// <summary>More lines, or a longer one, than any such file has: every reader of YAML is slow at them. YAML counts five marks as the end of a line.</summary>
    private static (int Line, string Text)? Lines(string text)
    {
        var json = text.AsSpan().TrimStart() is ['{' or '[', ..];
        var (line, start) = (1, 0);
        for (var at = 0; at <= text.Length; at++)
        {
            if (at < text.Length && text[at] is not ('\n' or '\r' or '\u0085' or '\u2028' or '\u2029'))
            {
                continue;
            }

            if (at - start > LabFileLimits.LongestLine && !json)
            {
                return (line, $"a line longer than {LabFileLimits.LongestLine:#,##0} characters");
            }

            if (at < text.Length && ++line > LabFileLimits.MostLines)
            {
                return (line, $"more than {LabFileLimits.MostLines:#,##0} lines");
            }

            start = at + 1;
        }

        return null;
    }

    /// <summary>These files have no use for references to other places or for deep nesting; both can make a small file enormous.</summary>
    private static (int Line, string Text)? Hazard(string text, bool references)
    {
        var parser = new Parser(new StringReader(text));
        var values = 0;
        var most = references ? LabFileLimits.MostWithReferences : LabFileLimits.MostValues;
        // For each open list or mapping: whether the next value in it is a key.
        Stack<bool?> open = new();
        while (parser.MoveNext())
        {
            if (parser.Current is NodeEvent or AnchorAlias)
            {
                if (open.TryPop(out var key))
                {
                    if (key == true && parser.Current is not Scalar)
                    {
                        return ((int)parser.Current.Start.Line, "a name that is itself a list, a mapping or a reference");
                    }

                    open.Push(!key);
                }
            }

            if (parser.Current is NodeEvent && ++values > most)
            {
                return ((int)parser.Current.Start.Line, $"more than {most:#,##0} values");
            }

            switch (parser.Current)
            {
                case AnchorAlias alias when !references:
                    return ((int)alias.Start.Line, "references (*name) are not used here; write the value itself");
                case MappingStart or SequenceStart when open.Count >= LabFileLimits.Deepest:
                    return ((int)parser.Current.Start.Line, $"nested more than {LabFileLimits.Deepest} deep");
                case MappingStart:
                    open.Push(true);
                    break;
                case SequenceStart:
                    open.Push(null);
                    break;
                case MappingEnd or SequenceEnd:
                    open.Pop();
                    break;
                default:
                    break;
            }
        }

        return null;
    }
}
