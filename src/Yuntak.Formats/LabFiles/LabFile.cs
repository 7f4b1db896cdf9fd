using System.Text.Encodings.Web;
using System.Text.Json;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

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
        var problems = new ProblemList(LabFileLimits.MostProblems);
        var lab = SafeYaml.Root(text, problems) is { } root ? LabReader.Read(root, problems) : null;
        return new LabFileReading(problems.Found.Count == 0 ? lab : null, LabFileProblem.Of(problems));
    }
}
