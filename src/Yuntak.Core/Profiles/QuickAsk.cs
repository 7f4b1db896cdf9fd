using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Profiles;

/// <summary>A service asked for in a few typed words: «cameras 4», «2 films», «router».</summary>
/// <param name="Profile">The service it comes closest to.</param>
/// <param name="Load">How much of it was said; empty when nothing was.</param>
public sealed record QuickAsk(Profile Profile, ValueList<LoadValue> Load)
{
    /// <summary>What it means, in words.</summary>
    public string Words =>
        Load.Count == 0
            ? Profile.Name
            : $"{Profile.Name}, {string.Join(", ", Load.Select(l => Profile.Loads.First(s => s.Id == l.Id).Words(l.Value)))}";

    /// <summary>What the words may mean, the likeliest first. A number goes to the load that the word next to it names, else to the first the profile asks.</summary>
    public static IReadOnlyList<QuickAsk> Of(ProfileBook book, string text)
    {
        var parts = text.Split([' ', ',', '='], StringSplitOptions.RemoveEmptyEntries);
        var number = parts.Select(p => Numbers.TryParse(p, out var n) ? n : (double?)null).FirstOrDefault(n => n is not null);
        var words = parts.Where(p => !Numbers.TryParse(p, out _)).Select(w => w.ToLower(CultureInfo.InvariantCulture)).ToList();
        if (words.Count == 0)
        {
            return [];
        }

        return
        [
            .. book
                .All.Select(p => (Ask: Ask(p, words, number), Score: Score(p, words)))
                .Where(a => a.Score > 0)
                .OrderByDescending(a => a.Score)
                .Select(a => a.Ask),
        ];
    }

    private static QuickAsk Ask(Profile profile, List<string> words, double? number)
    {
        var spec = profile.Loads.FirstOrDefault(l => words.Exists(w => Names(l, w))) ?? profile.Loads.FirstOrDefault(l => !l.YesNo);
        return number is { } value && spec is not null && value >= spec.Min && value <= spec.Max
            ? new QuickAsk(profile, [new LoadValue(spec.Id, value)])
            : new QuickAsk(profile, []);
    }

    private static int Score(Profile profile, List<string> words) =>
        words.Sum(w =>
            profile.Loads.Any(l => l.Id == w) ? 8
            : profile.Name.Split(' ').Contains(w, StringComparer.Ordinal) ? 6
            : profile.Loads.Any(l => Names(l, w)) ? 4
            : profile.Name.Contains(w, StringComparison.OrdinalIgnoreCase)
            || profile.Summary.Contains(w, StringComparison.OrdinalIgnoreCase)
                ? 2
            : 0
        );

    private static bool Names(LoadSpec load, string word) =>
        load.Id == word
        || load.Label.Split(' ')
            .Any(l =>
                string.Equals(l, word, StringComparison.OrdinalIgnoreCase)
                || string.Equals(l, word + "s", StringComparison.OrdinalIgnoreCase)
            );
}
