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

    /// <summary>These files have no use for references to other places or for deep nesting; both can make a small file enormous.</summary>
    private static (int Line, string Text)? Hazard(string text, bool references)
    {
        var parser = new Parser(new StringReader(text));
        var depth = 0;
        var values = 0;
        while (parser.MoveNext())
        {
            if (parser.Current is NodeEvent && ++values > LabFileLimits.MostValues)
            {
                return ((int)parser.Current.Start.Line, $"more than {LabFileLimits.MostValues:#,##0} values");
            }

            switch (parser.Current)
            {
                case AnchorAlias alias when !references:
                    return ((int)alias.Start.Line, "references (*name) are not used here; write the value itself");
                case MappingStart or SequenceStart when ++depth > LabFileLimits.Deepest:
                    return ((int)parser.Current.Start.Line, $"nested more than {LabFileLimits.Deepest} deep");
                case MappingEnd or SequenceEnd:
                    depth--;
                    break;
                default:
                    break;
            }
        }

        return null;
    }
}
