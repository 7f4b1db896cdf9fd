using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Definitions;

/// <summary>Guests read from a definition: a Compose file, an OVF envelope, a list.</summary>
/// <param name="Sort">What it was, in words: «Compose file».</param>
/// <param name="Guests">The guests, on no host yet.</param>
/// <param name="Lines">What became of each line that says something, in order.</param>
public sealed record DefinitionReading(string Sort, IReadOnlyList<Guest> Guests, IReadOnlyList<DefinitionLine> Lines)
{
    /// <summary>The most guests read from one definition.</summary>
    public const int MostGuests = 200;

    /// <summary>The most lines told of; a sentence stands for the rest.</summary>
    public const int MostLines = 1_000;

    /// <summary>What was read, in one sentence.</summary>
    public string Words() =>
        Guests.Count == 0
            ? $"{Sort}: no guest in it"
            : $"{Sort}: {Numbers.Count(Guests.Count, "guest")}, {string.Join(", ", Guests.Select(g => g.Name))}";
}
