using Yuntak.Core.Kit;

namespace Yuntak.Formats.Intake;

/// <summary>What became of each part, in the order of the text. A part that comes more than once, such as the health of each disk, has one entry.</summary>
internal sealed class PartLog
{
    private readonly List<string> order = [];
    private readonly Dictionary<string, Entry> entries = new(StringComparer.Ordinal);

    /// <summary>Adds to a part's entry.</summary>
    public void Add(string part, int read, int line, params IEnumerable<string> problems)
    {
        if (!entries.TryGetValue(part, out var entry))
        {
            entries[part] = entry = new Entry { Line = line };
            order.Add(part);
        }

        entry.Read += read;
        foreach (var problem in problems)
        {
            entry.Count++;
            if (entry.Problems.Count < PartReading.MostProblems)
            {
                entry.Problems.Add(problem);
            }
        }
    }

    /// <summary>Adds what was not run, and what would bring it.</summary>
    public void Hint(string part, int line, string hint)
    {
        Add(part, 0, line);
        if (entries[part].Hints.Count < PartReading.MostProblems)
        {
            entries[part].Hints.Add(hint);
        }
    }

    /// <summary>Whether a part has an entry.</summary>
    public bool Has(string part) => entries.ContainsKey(part);

    /// <summary>Whether nothing was read from anything.</summary>
    public bool NothingRead => entries.Values.All(e => e.Read == 0);

    public IReadOnlyList<PartReading> Readings() => [.. order.Select(p => entries[p].ToReading(p))];

    private sealed class Entry
    {
        public int Read { get; set; }

        public int Line { get; init; }

        public int Count { get; set; }

        public List<string> Problems { get; } = [];

        public List<string> Hints { get; } = [];

        public PartReading ToReading(string part) =>
            new(part, Read, Count > Problems.Count ? [.. Problems, $"{part}: {Count - Problems.Count} more like these"] : Problems, Line)
            {
                Hints = Hints,
            };
    }
}
