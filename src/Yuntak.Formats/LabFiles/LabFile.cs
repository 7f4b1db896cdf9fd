using System.Text.Encodings.Web;
using System.Text.Json;
using YamlDotNet.Core;
using YamlDotNet.Core.Events;
using YamlDotNet.RepresentationModel;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.LabFiles;

/// <summary>The lab file: a whole lab as readable YAML or JSON, written and read back to the same lab. Described in docs/lab-file.md.</summary>
public static class LabFile
{
    /// <summary>The version of the format, written at the top of every file.</summary>
    public const int Version = 1;

    private static readonly JsonSerializerOptions Readable = new()
    {
        WriteIndented = true,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    /// <summary>The lab as YAML.</summary>
    public static string ToYaml(Lab lab) => YamlTreeWriter.Write(LabTree.Of(lab));

    /// <summary>The lab as JSON.</summary>
    public static string ToJson(Lab lab) => LabTree.Of(lab).ToJsonString(Readable) + "\n";

    /// <summary>Reads YAML or JSON. A file with any problem gives no lab, and every problem with its line and path.</summary>
    public static LabFileReading Read(string text)
    {
        if (text.Length > LabFileLimits.LongestFile.Bytes)
        {
            return Refused(1, $"the file is longer than {LabFileLimits.LongestFile}, the most that is read");
        }

        var stream = new YamlStream();
        try
        {
            if (Hazard(text) is { } hazard)
            {
                return hazard;
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

        if (stream.Documents.Count == 0)
        {
            return Refused(1, "the file is empty");
        }

        List<LabFileProblem> problems = [];
        var lab = LabReader.Read(stream.Documents[0].RootNode, problems);
        return new LabFileReading(problems.Count == 0 ? lab : null, problems);
    }

    /// <summary>A lab file has no use for references to other places or for deep nesting; both can make a small file enormous.</summary>
    private static LabFileReading? Hazard(string text)
    {
        var parser = new Parser(new StringReader(text));
        var depth = 0;
        while (parser.MoveNext())
        {
            switch (parser.Current)
            {
                case AnchorAlias alias:
                    return Refused((int)alias.Start.Line, "references (*name) are not used in a lab file; write the value itself");
                case MappingStart or SequenceStart when ++depth > LabFileLimits.Deepest:
                    return Refused((int)parser.Current.Start.Line, $"nested more than {LabFileLimits.Deepest} deep");
                case MappingEnd or SequenceEnd:
                    depth--;
                    break;
                default:
                    break;
            }
        }

        return null;
    }

    private static LabFileReading Refused(int line, string text) => new(null, [new LabFileProblem(line, "", text)]);
}
