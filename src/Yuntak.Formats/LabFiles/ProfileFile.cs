using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Formats.LabFiles;

/// <summary>The profile file: profiles alone, for passing on from one lab to another, in the words they have in a lab file. Described in docs/lab-file.md.</summary>
public static class ProfileFile
{
    /// <summary>The version of the format, written at the top of every file.</summary>
    public const int Version = 1;

    private const string VersionKey = "yuntak-profiles";

    private const string ListKey = "profiles";

    /// <summary>Profiles as YAML.</summary>
    public static string ToYaml(IEnumerable<Profile> profiles) =>
        YamlTreeWriter.Write(
            new JsonObject { [VersionKey] = Version, [ListKey] = new JsonArray([.. profiles.Select(p => ProfileShapes.Profile.Write(p))]) }
        );

    /// <summary>Reads YAML or JSON; of a lab file, its own profiles. A file with any problem gives no profiles, and every problem with its line and path.</summary>
    public static ProfileFileReading Read(string text)
    {
        var problems = new ProblemList(LabFileLimits.MostProblems);
        var profiles = SafeYaml.Root(text, problems) is { } root ? Read(root, problems) : [];
        return problems.Found.Count == 0 ? new ProfileFileReading(profiles, []) : new ProfileFileReading(null, LabFileProblem.Of(problems));
    }

    private static ValueList<Profile> Read(INode root, ProblemList problems)
    {
        var top = new MapReader(root, "", problems);
        if (top.Has("yuntak"))
        {
            return LabReader.Read(root, problems).Profiles;
        }

        FileVersion.Check(top, VersionKey, Version);
        ValueList<Profile> profiles =
        [
            .. top.Items(ListKey, needed: true).Select(item => ProfileShapes.Profile.Read(new MapReader(item.Node, item.Path, problems))),
        ];
        top.Done();
        if (problems.Found.Count == 0 && profiles.Count == 0)
        {
            top.Note(ListKey, "there is no profile in it");
        }

        FileProblems.Note(problems, LabChecks.Problems(Lab.Empty("profiles") with { Profiles = profiles }, (_, _) => []));
        return profiles;
    }
}
