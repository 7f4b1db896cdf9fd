using System.Globalization;
using YamlDotNet.Core;
using YamlDotNet.RepresentationModel;
using Yuntak.Core.Units;

namespace Yuntak.Formats.LabFiles;

/// <summary>Reads one mapping of a lab file, notes what is wrong with its line and path, and at the end names the keys nobody asked for.</summary>
internal sealed class NodeReader
{
    private readonly Dictionary<string, YamlNode> values = new(StringComparer.Ordinal);
    private readonly Dictionary<string, int> lines = new(StringComparer.Ordinal);
    private readonly HashSet<string> asked = new(StringComparer.Ordinal);
    private readonly List<LabFileProblem> problems;
    private readonly int line;

    public NodeReader(YamlNode node, string path, List<LabFileProblem> problems)
    {
        this.problems = problems;
        Path = path;
        line = (int)node.Start.Line;
        if (node is not YamlMappingNode map)
        {
            Note(line, path, "a list of names and values belongs here");
            return;
        }

        foreach (var (key, value) in map.Children)
        {
            var name = (key as YamlScalarNode)?.Value ?? "";
            values[name] = value;
            lines[name] = (int)key.Start.Line;
        }
    }

    public string Path { get; }

    /// <summary>How many problems were noted so far, here and elsewhere in the file.</summary>
    public int Problems => problems.Count;

    public bool IsList(string key) => values.GetValueOrDefault(key) is YamlSequenceNode;

    public bool Has(string key) => values.ContainsKey(key);

    public void Problem(string key, string text) => Note(lines.GetValueOrDefault(key, line), Join(key), text);

    /// <summary>Text; a problem when it is missing and needed.</summary>
    public string? Text(string key, bool needed = false)
    {
        asked.Add(key);
        if (!values.TryGetValue(key, out var node) || IsNull(node))
        {
            if (needed)
            {
                Note(line, Path, $"«{key}» is missing");
            }

            return null;
        }

        if (node is YamlScalarNode scalar)
        {
            return Core.Labs.Names.Clean(scalar.Value);
        }

        Problem(key, "a single value belongs here");
        return null;
    }

    public int? Whole(string key, int min, int max, bool needed = false)
    {
        var text = Text(key, needed);
        if (text is null)
        {
            return null;
        }

        if (int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var number) && number >= min && number <= max)
        {
            return number;
        }

        Problem(key, $"a whole number from {min} to {max} belongs here, not «{Short(text)}»");
        return null;
    }

    public double? Number(string key, double min, double max)
    {
        var text = Text(key);
        return text is null ? null : NumberFrom(key, text, min, max);
    }

    /// <summary>A number; when it is missing or none, 0 and a problem.</summary>
    public double Number(string key, bool needed) =>
        Text(key, needed) is { } text ? NumberFrom(key, text, -double.MaxValue, double.MaxValue) ?? 0 : 0;

    /// <summary>A list of numbers; what is none is a problem and left out.</summary>
    public List<double> NumberList(string key)
    {
        List<double> numbers = [];
        foreach (var text in Texts(key))
        {
            if (NumberFrom(key, text, -double.MaxValue, double.MaxValue) is { } number)
            {
                numbers.Add(number);
            }
        }

        return numbers;
    }

    public ByteSize? Size(string key, Prefixes bareLetter, bool needed = false)
    {
        var text = Text(key, needed);
        if (text is null)
        {
            return null;
        }

        if (ByteSize.TryParse(text, bareLetter, out var size))
        {
            return size;
        }

        Problem(key, $"a size such as «4 GiB» or «500 GB» belongs here, not «{Short(text)}»");
        return null;
    }

    public DateOnly? Day(string key, bool needed = false)
    {
        var text = Text(key, needed);
        if (text is null)
        {
            return null;
        }

        if (DateOnly.TryParseExact(text, "O", out var day))
        {
            return day;
        }

        Problem(key, $"a day such as 2026-03-14 belongs here, not «{Short(text)}»");
        return null;
    }

    public bool? Flag(string key)
    {
        var text = Text(key);
        switch (text?.ToLowerInvariant())
        {
            case null:
                return null;
            case "true" or "yes":
                return true;
            case "false" or "no":
                return false;
            default:
                Problem(key, $"true or false belongs here, not «{Short(text)}»");
                return null;
        }
    }

    public T Word<T>(string key, (string Word, T Value)[] words, T otherwise, bool needed = false) =>
        Text(key, needed) is { } text && Among(key, words, text, out var value) ? value : otherwise;

    /// <summary>A list of words; what is none of them is a problem and left out.</summary>
    public List<T> Words<T>(string key, (string Word, T Value)[] words, bool needed = false)
    {
        List<T> found = [];
        foreach (var text in Texts(key, needed))
        {
            if (Among(key, words, text, out var value))
            {
                found.Add(value);
            }
        }

        return found;
    }

    public List<string> Texts(string key, bool needed = false)
    {
        List<string> texts = [];
        var n = 0;
        foreach (var item in Items(key, needed))
        {
            if (item is YamlScalarNode { Value: { } text })
            {
                texts.Add(Core.Labs.Names.Clean(text));
            }
            else
            {
                Note((int)item.Start.Line, $"{Join(key)}[{n}]", "a single value belongs here");
            }

            n++;
        }

        return texts;
    }

    public IEnumerable<NodeReader> Maps(string key, bool needed = false) =>
        Items(key, needed).Select((n, i) => new NodeReader(n, $"{Join(key)}[{i}]", problems));

    public NodeReader? Map(string key, bool needed = false)
    {
        asked.Add(key);
        if (values.TryGetValue(key, out var node) && !IsNull(node))
        {
            return new NodeReader(node, Join(key), problems);
        }

        if (needed)
        {
            Note(line, Path, $"«{key}» is missing");
        }

        return null;
    }

    /// <summary>Every value of a mapping whose keys are free, as numbers.</summary>
    public IEnumerable<(string Key, double Value)> Numbers()
    {
        foreach (var key in values.Keys.ToList())
        {
            var text = Text(key);
            if (text is not null && NumberFrom(key, text, 0, double.MaxValue) is { } number)
            {
                yield return (key, number);
            }
        }
    }

    /// <summary>Names the keys nobody asked for.</summary>
    public void Done()
    {
        foreach (var key in values.Keys.Where(k => !asked.Contains(k)))
        {
            Problem(key, $"«{Short(key)}» is not known here; known are {string.Join(", ", asked.Order(StringComparer.Ordinal))}");
        }
    }

    private IEnumerable<YamlNode> Items(string key, bool needed)
    {
        asked.Add(key);
        if (!values.TryGetValue(key, out var node) || IsNull(node))
        {
            if (needed)
            {
                Note(line, Path, $"«{key}» is missing");
            }

            return [];
        }

        if (node is YamlSequenceNode list)
        {
            return list.Children;
        }

        Problem(key, "a list belongs here");
        return [];
    }

    private bool Among<T>(string key, (string Word, T Value)[] words, string text, out T value)
    {
        foreach (var (word, meant) in words)
        {
            if (word == text)
            {
                value = meant;
                return true;
            }
        }

        Problem(key, $"one of {string.Join(", ", words.Select(w => w.Word))} belongs here, not «{Short(text)}»");
        value = default!;
        return false;
    }

    private double? NumberFrom(string key, string text, double min, double max)
    {
        if (
            double.TryParse(
                text,
                NumberStyles.AllowLeadingSign | NumberStyles.AllowDecimalPoint | NumberStyles.AllowExponent,
                CultureInfo.InvariantCulture,
                out var number
            )
            && number >= min
            && number <= max
        )
        {
            return number;
        }

        Problem(
            key,
            max >= double.MaxValue
                ? $"a number belongs here, not «{Short(text)}»"
                : $"a number from {min} to {max} belongs here, not «{Short(text)}»"
        );
        return null;
    }

    private void Note(int at, string path, string text)
    {
        if (problems.Count < LabFileLimits.MostProblems)
        {
            problems.Add(new LabFileProblem(at, path, text));
        }
    }

    private string Join(string key) => Path.Length == 0 ? Short(key) : $"{Path}.{Short(key)}";

    private static string Short(string text) => text.Length > 60 ? text[..60] + "…" : text;

    private static bool IsNull(YamlNode node) => node is YamlScalarNode { Style: ScalarStyle.Plain, Value: null or "" or "null" or "~" };
}
