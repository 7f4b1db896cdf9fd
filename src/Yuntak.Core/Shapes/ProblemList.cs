namespace Yuntak.Core.Shapes;

/// <summary>Gathers what is wrong with a file, with the lines of the places in it.</summary>
/// <param name="most">The most problems that are gathered; after that nobody reads on.</param>
public sealed class ProblemList(int most)
{
    private readonly Dictionary<string, int> lines = new(StringComparer.Ordinal);
    private readonly List<(int Line, string Path, string Text)> found = [];

    /// <summary>What is wrong.</summary>
    public IReadOnlyList<(int Line, string Path, string Text)> Found => found;

    /// <summary>Whether so much is wrong that the rest does not matter.</summary>
    public bool Full => found.Count >= most;

    /// <summary>Remembers the line of a place.</summary>
    public void At(string path, int line) => lines.TryAdd(path, line);

    /// <summary>Notes a problem at a line.</summary>
    public void Note(int line, string path, string text)
    {
        if (!Full)
        {
            found.Add((line, path, text));
        }
    }

    /// <summary>Notes a problem at a place; where the place is not in the file itself, at the line of what holds it.</summary>
    public void Note(string path, string text) => Note(LineOf(path), path, text);

    private int LineOf(string path)
    {
        for (var place = path; ; place = place[..place.LastIndexOfAny(['.', '['])])
        {
            if (lines.TryGetValue(place, out var line))
            {
                return line;
            }

            if (place.LastIndexOfAny(['.', '[']) <= 0)
            {
                return 1;
            }
        }
    }
}
