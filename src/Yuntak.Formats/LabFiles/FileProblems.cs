using Yuntak.Core.Shapes;

namespace Yuntak.Formats.LabFiles;

/// <summary>Notes what is wrong between the values of a file.</summary>
internal static class FileProblems
{
    /// <summary>Notes problems, but for those in a part of the file where a value could not be read: they would only follow from that.</summary>
    public static void Note(ProblemList problems, IEnumerable<Problem> found)
    {
        var broken = problems
            .Found.Select(p => PartOf(p.Path))
            .Concat(problems.Found.Select(p => p.Path))
            .ToHashSet(StringComparer.Ordinal);
        foreach (var problem in found)
        {
            if (problems.Full)
            {
                return;
            }

            if (!broken.Contains(PartOf(problem.Path)) && !broken.Contains(problem.Path))
            {
                problems.Note(problem.Path, problem.Text);
            }
        }
    }

    /// <summary>The names and values a path stands in: of <c>hosts[0].processor.threads</c> it is <c>hosts[0].processor</c>.</summary>
    private static string PartOf(string path) => path.LastIndexOf('.') is > 0 and var dot ? path[..dot] : path;
}
