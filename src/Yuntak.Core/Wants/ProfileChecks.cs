using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants;

/// <summary>What is wrong with a profile somebody wrote.</summary>
public static class ProfileChecks
{
    /// <summary>The most own profiles a lab holds.</summary>
    public const int MostProfiles = 100;

    /// <summary>The most a sum may come to with every load at its most, in its own unit; of GB, what 20 petabytes are. Beyond lies no home.</summary>
    public const double MostOfAnything = 2e7;

    private const int MostLoads = 30;
    private const int MostTerms = 40;
    private const int LongestText = 400;

    /// <summary>Every problem with the name of the part it is in, the way files name it; none for a sound profile.</summary>
    public static IEnumerable<(string Part, string Text)> Problems(Profile profile)
    {
        if (profile.Id != Names.Slug(profile.Id) || profile.Id.Length > Names.LongestName)
        {
            yield return ("id", "an id is made of lower case letters, digits and single hyphens");
        }

        foreach (var (part, text, needed) in Texts(profile))
        {
            if (needed && text.Length == 0)
            {
                yield return (part, "this may not be empty");
            }
            else if (text.Length > LongestText)
            {
                yield return (part, $"{text.Length} characters; {LongestText} are the most");
            }
        }

        if (profile.Advised.Count == 0 || profile.Advised.Distinct().Count() != profile.Advised.Count)
        {
            yield return ("advised", "name at least one way of packaging, and each only once");
        }

        if (profile.Shape.Weights.Count != DayShape.Hours || profile.Shape.Weights.Any(w => !(w is >= 0 and <= 1)))
        {
            yield return ("shape", "24 numbers from 0 to 1 belong here, midnight first");
        }

        if (profile.FirstStartMinutes is < 0 or > 1_440)
        {
            yield return ("first-start-minutes", "0 to 1,440 minutes");
        }

        if (!double.IsFinite(profile.MemoryFloorGiB) || profile.MemoryFloorGiB < 0)
        {
            yield return ("memory-floor", "a number of GiB that is not negative");
        }

        foreach (var port in profile.Ports.Where(p => p is < 1 or > 65_535))
        {
            yield return ("ports", $"a port is 1 to 65535, not {port}");
        }

        foreach (var problem in LoadProblems(profile).Concat(TermProblems(profile)))
        {
            yield return problem;
        }
    }

    private static IEnumerable<(string Part, string Text, bool Needed)> Texts(Profile profile) =>
        [
            ("name", profile.Name, true),
            ("summary", profile.Summary, true),
            ("advice", profile.Advice, false),
            ("caution", profile.Caution ?? "", false),
            .. profile.Needs.Select(n => ("needs", n, true)),
            .. profile.Loads.SelectMany(l => new[] { ("loads", l.Label, true), ("loads", l.Says, true), ("loads", l.Unit, false) }),
            .. ProfileTerms.All.SelectMany(t => t.Of(profile).Select(term => (t.Word, term.Label, true))),
        ];

    private static IEnumerable<(string Part, string Text)> LoadProblems(Profile profile)
    {
        if (profile.Loads.Count > MostLoads)
        {
            yield return ("loads", $"{profile.Loads.Count} loads; {MostLoads} are the most");
        }

        foreach (var twice in profile.Loads.GroupBy(l => l.Id).Where(g => g.Count() > 1))
        {
            yield return ("loads", $"«{twice.Key}» is there twice");
        }

        foreach (var load in profile.Loads)
        {
            if (load.Id != Names.Slug(load.Id))
            {
                yield return ("loads", $"«{load.Id}»: an id is made of lower case letters, digits and single hyphens");
            }

            if (
                !double.IsFinite(load.Min)
                || !double.IsFinite(load.Max)
                || load.Min < 0
                || !(load.Min <= load.Default && load.Default <= load.Max)
                || !(load.Step > 0)
            )
            {
                yield return (
                    "loads",
                    $"«{load.Id}»: the usual amount lies from the least to the most, nothing is negative and the step is above 0"
                );
            }
        }
    }

    private static double AtMost(Profile profile, Term term) =>
        term.Per.Aggregate(term.Amount, (amount, id) => amount * (profile.Loads.FirstOrDefault(l => l.Id == id)?.Max ?? 1));

    private static IEnumerable<(string Part, string Text)> TermProblems(Profile profile)
    {
        foreach (var (word, of) in ProfileTerms.All.Select(t => (t.Word, t.Of(profile))))
        {
            if (of.Count > MostTerms)
            {
                yield return (word, $"{of.Count} lines; {MostTerms} are the most");
            }

            if (of.Sum(t => AtMost(profile, t)) is var most && !(most <= MostOfAnything))
            {
                yield return (
                    word,
                    $"with every load at its most this comes to {Numbers.Short(most)}; {Numbers.Short(MostOfAnything)} is the most that is counted"
                );
            }

            foreach (var term in of)
            {
                if (!double.IsFinite(term.Amount) || term.Amount < 0)
                {
                    yield return (word, $"«{term.Label}»: the amount is a number that is not negative, so that more load never gives less");
                }

                foreach (var load in term.Per.Where(id => profile.Loads.All(l => l.Id != id)))
                {
                    yield return (word, $"«{term.Label}» grows with «{load}», which is not among the loads");
                }
            }
        }
    }
}
