using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Wants;

namespace Yuntak.Formats.LabFiles;

/// <summary>The profile file: profiles alone, for passing on from one lab to another, in the words they have in a lab file. Described in docs/lab-file.md.</summary>
public static class ProfileFile
{
    /// <summary>The version of the format, written at the top of every file.</summary>
    public const int Version = 1;

    private const string VersionKey = "yuntak-profiles";

    /// <summary>Profiles as YAML.</summary>
    public static string ToYaml(IEnumerable<Profile> profiles) =>
        YamlTreeWriter.Write(new JsonObject { [VersionKey] = Version, ["profiles"] = new JsonArray([.. profiles.Select(ProfileTree.Of)]) });

    /// <summary>Reads YAML or JSON; of a lab file, its own profiles. A file with any problem gives no profiles, and every problem with its line and path.</summary>
    public static ProfileFileReading Read(string text)
    {
        List<LabFileProblem> problems = [];
        if (SafeYaml.Root(text, problems) is not { } root)
        {
            return new ProfileFileReading(null, problems);
        }

        var top = new NodeReader(root, "", problems);
        if (top.Has("yuntak"))
        {
            return Of(LabReader.Read(root, problems).Profiles, problems);
        }

        if (top.Whole(VersionKey, 1, int.MaxValue, needed: true) is { } version && version != Version)
        {
            top.Problem(VersionKey, $"this Yuntak reads version {Version}, the file says {version}");
        }

        ValueList<Profile> profiles = ProfileReader.ReadAll(top, "profiles", needed: true);
        top.Done();
        if (problems.Count == 0 && profiles.Count == 0)
        {
            top.Problem("profiles", "there is no profile in it");
        }

        return Of(profiles, problems);
    }

    private static ProfileFileReading Of(ValueList<Profile> profiles, List<LabFileProblem> problems) =>
        problems.Count == 0 ? new ProfileFileReading(profiles, []) : new ProfileFileReading(null, problems);
}
