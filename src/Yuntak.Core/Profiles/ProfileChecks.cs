using Yuntak.Core.Base;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Profiles;

/// <summary>What is wrong between the members of a profile somebody wrote; the limits of each by itself stand in its shape.</summary>
internal static class ProfileChecks
{
    /// <summary>The most own profiles a lab holds.</summary>
    public const int MostProfiles = 100;

    /// <summary>The longest text in a profile, in characters.</summary>
    public const int LongestText = 400;

    /// <summary>The most a sum may come to with every load at its most, in its own unit; of GB, what 20 petabytes are. Beyond lies no home.</summary>
    public const double MostOfAnything = 2e7;

    private const string IdWords = "an id is made of lower case letters, digits and single hyphens";

    /// <summary>Every problem with its place; none for a sound profile.</summary>
    public static IEnumerable<Problem> Problems(Profile profile)
    {
        if (profile.Id != Names.Slug(profile.Id))
        {
            yield return new Problem("id", IdWords);
        }

        foreach (var (path, _) in Texts(profile).Where(t => t.Text.Length == 0))
        {
            yield return new Problem(path, "this may not be empty");
        }

        if (profile.Advised.Count == 0 || profile.Advised.Distinct().Count() != profile.Advised.Count)
        {
            yield return new Problem("advised", "name at least one way of packaging, and each only once");
        }

        if (profile.Shape.Weights.Count != DayShape.Hours || profile.Shape.Weights.Any(w => !(w is >= 0 and <= 1)))
        {
            yield return new Problem("shape", "24 numbers from 0 to 1 belong here, midnight first");
        }

        for (var n = 0; n < profile.Claims.Count; n++)
        {
            foreach (var id in profile.Claims[n].Per.Concat(profile.Claims[n].Unless).Where(id => profile.Loads.All(l => l.Id != id)))
            {
                yield return new Problem($"claims[{n}]", $"there is no load «{id}»");
            }
        }

        foreach (var problem in LoadProblems(profile).Concat(ProfileTerms.All.SelectMany(t => TermProblems(profile, t))))
        {
            yield return problem;
        }
    }

    private static IEnumerable<(string Path, string Text)> Texts(Profile profile) =>
        [
            ("name", profile.Name),
            ("summary", profile.Summary),
            .. profile.Needs.Select((need, n) => ($"needs[{n}]", need)),
            .. profile.Loads.SelectMany((l, n) => new[] { ($"loads[{n}].label", l.Label), ($"loads[{n}].says", l.Says) }),
            .. ProfileTerms.All.SelectMany(t => t.Of(profile).Select((term, n) => ($"{t.Word}[{n}].label", term.Label))),
        ];

    private static IEnumerable<Problem> LoadProblems(Profile profile)
    {
        for (var n = 0; n < profile.Loads.Count; n++)
        {
            var load = profile.Loads[n];
            if (profile.Loads.Take(n).Any(l => l.Id == load.Id))
            {
                yield return new Problem($"loads[{n}].id", $"«{load.Id}» is there twice");
            }

            if (load.Id != Names.Slug(load.Id))
            {
                yield return new Problem($"loads[{n}].id", $"«{load.Id}»: {IdWords}");
            }

            if (
                !double.IsFinite(load.Min)
                || !double.IsFinite(load.Max)
                || load.Min < 0
                || !(load.Min <= load.Default && load.Default <= load.Max)
                || !(load.Step > 0)
            )
            {
                yield return new Problem(
                    $"loads[{n}]",
                    $"«{load.Id}»: the usual amount lies from the least to the most, nothing is negative and the step is above 0"
                );
            }
        }
    }

    private static double AtMost(Profile profile, Term term) =>
        term.Per.Aggregate(term.Amount, (amount, id) => amount * (profile.Loads.FirstOrDefault(l => l.Id == id)?.Max ?? 1));

    private static IEnumerable<Problem> TermProblems(Profile profile, ProfileTerms sum)
    {
        var terms = sum.Of(profile);
        if (terms.Sum(t => AtMost(profile, t)) is var most && !(most <= MostOfAnything))
        {
            yield return new Problem(
                sum.Word,
                $"with every load at its most this comes to {Numbers.Short(most)}; {Numbers.Short(MostOfAnything)} is the most that is counted"
            );
        }

        for (var n = 0; n < terms.Count; n++)
        {
            var term = terms[n];
            if (!double.IsFinite(term.Amount) || term.Amount < 0)
            {
                yield return new Problem(
                    $"{sum.Word}[{n}].amount",
                    $"«{term.Label}»: the amount is a number that is not negative, so that more load never gives less"
                );
            }

            foreach (var load in term.Per.Where(id => profile.Loads.All(l => l.Id != id)))
            {
                yield return new Problem($"{sum.Word}[{n}].per", $"«{term.Label}» grows with «{load}», which is not among the loads");
            }

            foreach (var load in term.Unless.Where(id => profile.Loads.All(l => l.Id != id || !l.YesNo)))
            {
                yield return new Problem(
                    $"{sum.Word}[{n}].unless",
                    $"«{term.Label}» counts unless «{load}», which is not among the questions of yes or no"
                );
            }
        }
    }
}
