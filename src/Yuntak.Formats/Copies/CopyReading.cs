using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Copies;

/// <summary>What a list of copies said.</summary>
/// <param name="Copies">The copies of guests that are in the lab.</param>
/// <param name="Strangers">Names in the list that are no guests of the lab, each once.</param>
/// <param name="Problems">What was not understood, in words.</param>
public sealed record CopyReading(IReadOnlyList<KnownCopy> Copies, IReadOnlyList<string> Strangers, IReadOnlyList<string> Problems)
{
    /// <summary>Gathers it.</summary>
    internal sealed class Draft
    {
        private const int MostStrangers = 20;
        private readonly List<KnownCopy> copies = [];
        private readonly List<string> problems = [];
        private readonly HashSet<string> strangers = new(StringComparer.OrdinalIgnoreCase);
        private int more;

        public int Count => copies.Count;

        public int Problems => problems.Count;

        public void Add(KnownCopy copy) => copies.Add(copy);

        public void Problem(string text) => problems.Add(text);

        public void More() => more++;

        public void Stranger(string name)
        {
            if (strangers.Count < MostStrangers)
            {
                strangers.Add(Names.Short(name.Length == 0 ? "(no name)" : name));
            }
        }

        public CopyReading Done() =>
            new(
                [.. copies.DistinctBy(c => c.Key)],
                [.. strangers.Order(StringComparer.Ordinal)],
                more > 0 ? [.. problems, $"{Numbers.Count(more, "more line")} after that."] : problems
            );
    }
}
