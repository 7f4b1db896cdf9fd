using Yuntak.Core.Kit;
using Yuntak.Formats.Intake;

namespace Yuntak.Formats.Tests.Intake;

/// <summary>Outputs of tools: taken on a machine with identifying values replaced, or invented; the file's name says which.</summary>
internal static class Samples
{
    public static string Text(string name) => File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Samples", name));

    /// <summary>The bundle of the demo's tower, as its script printed it.</summary>
    public static string Bundle => File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "demo", "kiln-bundle.txt"));

    public static HostReading Read(params string[] names) => IntakeReader.Read(string.Join('\n', names.Select(Text)));

    public static IEnumerable<string> All =>
        Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "Samples")).Order().Select(File.ReadAllText);
}
