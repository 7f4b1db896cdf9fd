using Yuntak.Core.Base;

namespace Yuntak.Core.Shapes;

/// <summary>Reads names with values, notes what is wrong with its line and path, and at the end names those nobody asked for.</summary>
public sealed class MapReader
{
    private readonly Dictionary<string, INode> values = new(StringComparer.Ordinal);
    private readonly HashSet<string> asked = new(StringComparer.Ordinal);
    private readonly int line;

    /// <summary>Begins to read.</summary>
    /// <param name="node">The place.</param>
    /// <param name="path">Where it is in the file; empty for the file itself.</param>
    /// <param name="problems">Where problems go.</param>
    public MapReader(INode node, string path, ProblemList problems)
    {
        (Path, Problems, line) = (path, problems, node.Line);
        problems.At(path, node.Line);
        if (node.Members is not { } members)
        {
            problems.Note(node.Line, path, "a list of names and values belongs here");
            return;
        }

        foreach (var (name, at, value) in members)
        {
            values[name] = value;
            problems.At(Join(name), at);
        }
    }

    /// <summary>Where it is in the file.</summary>
    public string Path { get; }

    /// <summary>Where problems go.</summary>
    public ProblemList Problems { get; }

    /// <summary>The names that are there.</summary>
    public IEnumerable<string> Names => values.Keys;

    /// <summary>Whether a name is there, whatever stands behind it.</summary>
    public bool Has(string name) => values.ContainsKey(name);

    /// <summary>What stands behind a name; null when nothing does, which is a problem when it is needed.</summary>
    public INode? Find(string name, bool needed = false)
    {
        asked.Add(name);
        if (values.TryGetValue(name, out var node) && !node.IsNull)
        {
            return node;
        }

        if (needed)
        {
            Problems.Note(line, Path, $"«{name}» is missing");
        }

        return null;
    }

    /// <summary>Notes a problem with what stands behind a name.</summary>
    public void Note(string name, string text) => Problems.Note(Join(name), text);

    /// <summary>Text behind a name; null when there is none, and a problem when something else stands there.</summary>
    public string? Text(string name, bool needed = false)
    {
        if (Find(name, needed) is not { } node)
        {
            return null;
        }

        if (node.Text is null)
        {
            Note(name, "a single value belongs here");
        }

        return node.Text;
    }

    /// <summary>The items behind a name, each with its path; none, and a problem, when no list stands there.</summary>
    public IEnumerable<(INode Node, string Path)> Items(string name, bool needed = false)
    {
        if (Find(name, needed) is not { } node)
        {
            return [];
        }

        if (node.Items is { } items)
        {
            return items.Select((n, i) => (n, $"{Join(name)}[{i}]"));
        }

        Note(name, "a list belongs here");
        return [];
    }

    /// <summary>Names what nobody asked for.</summary>
    public void Done()
    {
        foreach (var name in values.Keys.Where(k => !asked.Contains(k)))
        {
            if (Problems.Full)
            {
                return;
            }

            Note(name, $"«{Base.Names.Short(name)}» is not known here; known are {string.Join(", ", asked.Order(StringComparer.Ordinal))}");
        }
    }

    /// <summary>The path of a name in here.</summary>
    public string Join(string name) => Path.Length == 0 ? Base.Names.Short(name) : $"{Path}.{Base.Names.Short(name)}";
}
