using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Wants;

/// <summary>What was typed about a profile, field by field, kept as typed so that nothing is lost when something in it is wrong.</summary>
/// <param name="Fields">The fields by their names.</param>
public sealed record ProfileForm(IReadOnlyDictionary<string, string> Fields)
{
    private const int MostRows = 40;

    /// <summary>What stands in a field; nothing when it was left empty.</summary>
    public string this[string field] => Fields.GetValueOrDefault(field, "");

    /// <summary>How many rows a table shows: those filled in and one to write into.</summary>
    public int Rows(string table) =>
        Enumerable.Range(0, MostRows).Where(n => this[$"{table}.{n}.label"].Length > 0).Select(n => n + 2).DefaultIfEmpty(1).Max();

    /// <summary>The form of a profile.</summary>
    public static ProfileForm Of(Profile profile)
    {
        Dictionary<string, string> fields = new(StringComparer.Ordinal)
        {
            ["name"] = profile.Name,
            ["summary"] = profile.Summary,
            ["family"] = ProfileWords.Families.Word(profile.Family),
            ["advice"] = profile.Advice,
            ["caution"] = profile.Caution ?? "",
            ["needs"] = string.Join('\n', profile.Needs),
            ["ports"] = string.Join(' ', profile.Ports),
            ["start-order"] = profile.StartOrder.ToString(CultureInfo.InvariantCulture),
            ["first-start"] = profile.FirstStartMinutes.ToString(CultureInfo.InvariantCulture),
            ["memory-floor"] = Number(profile.MemoryFloorGiB),
        };
        for (var n = 0; n < profile.Advised.Count; n++)
        {
            fields[$"advised.{ProfileWords.Kinds.Word(profile.Advised[n])}"] = $"{n + 1}";
        }

        for (var n = 0; n < profile.Loads.Count; n++)
        {
            var load = profile.Loads[n];
            fields[$"load.{n}.id"] = load.Id;
            fields[$"load.{n}.label"] = load.Label;
            fields[$"load.{n}.says"] = load.Says;
            fields[$"load.{n}.unit"] = load.Unit;
            fields[$"load.{n}.usual"] = Number(load.Default);
            fields[$"load.{n}.min"] = Number(load.Min);
            fields[$"load.{n}.max"] = Number(load.Max);
            fields[$"load.{n}.step"] = Number(load.Step);
            fields[$"load.{n}.yes-no"] = load.YesNo ? "1" : "";
            fields[$"load.{n}.for-the-record"] = load.ForTheRecord ? "1" : "";
        }

        foreach (var terms in ProfileTerms.All)
        {
            foreach (var (term, n) in terms.Of(profile).Select((t, n) => (t, n)))
            {
                var row = $"{terms.Word}.{n}";
                fields[row + ".label"] = term.Label;
                fields[row + ".amount"] = Number(term.Amount);
                fields[row + ".per"] = string.Join(' ', term.Per);
                fields[row + ".unless"] = string.Join(' ', term.Unless);
                fields[row + ".past"] = term.Past > 0 ? Number(term.Past) : "";
                fields[row + ".published"] = term.Trade ? "" : "1";
                foreach (var kind in term.Only)
                {
                    fields[$"{row}.only.{ProfileWords.Kinds.Word(kind)}"] = "1";
                }
            }
        }

        for (var hour = 0; hour < DayShape.Hours; hour++)
        {
            fields[$"hour.{hour}"] = Number(Math.Round(profile.Shape.At(hour) * 100));
        }

        return new ProfileForm(fields);
    }

    /// <summary>The form as posted.</summary>
    public static ProfileForm Read(IFormCollection form) =>
        new(form.ToDictionary(f => f.Key, f => f.Value.ToString(), StringComparer.Ordinal));

    /// <summary>The profile that was described.</summary>
    /// <param name="id">Its id.</param>
    /// <param name="before">The profile it was made from: hours left as they were keep their exact weights.</param>
    /// <exception cref="Refused">A field holds no number where one belongs; the message names it.</exception>
    public Profile ToProfile(string id, Profile before)
    {
        var profile = before with
        {
            Id = id,
            Name = Names.Clean(this["name"]),
            Summary = Names.Clean(this["summary"]),
            Family = ProfileWords.Families.Read(this["family"], "Family"),
            Advice = Names.Clean(this["advice"]),
            Caution = Names.Clean(this["caution"]) is { Length: > 0 } caution ? caution : null,
            Needs = [.. this["needs"].Split('\n').Select(Names.Clean).Where(n => n.Length > 0)],
            Ports =
            [
                .. this["ports"].Split([' ', ','], StringSplitOptions.RemoveEmptyEntries).Select(p => Typed.Whole(p, "Ports", 1, 65_535)),
            ],
            Advised =
            [
                .. ProfileWords
                    .Kinds.Values.Select(k =>
                        (Kind: k, Rank: Typed.OptionalWhole(this[$"advised.{ProfileWords.Kinds.Word(k)}"], $"{k.Words()}, advised", 1, 3))
                    )
                    .Where(k => k.Rank is not null)
                    .OrderBy(k => k.Rank)
                    .Select(k => k.Kind),
            ],
            Loads = [.. Filled("load").Select(Load)],
            Shape = Shape(before.Shape),
        };
        // The limits stand once, in the shape; nothing typed is what it was, but no least memory is none.
        foreach (
            var (field, typed) in new[]
            {
                ("start-order", "start-order"),
                ("first-start-minutes", "first-start"),
                ("memory-floor", "memory-floor"),
            }
        )
        {
            profile =
                this[typed].Trim().Length > 0 || field == "memory-floor" ? ProfileShapes.Profile[field].Set(profile, this[typed]) : profile;
        }

        return ProfileTerms.All.Aggregate(
            profile,
            (p, terms) => terms.With(p, [.. Filled(terms.Word).Select(row => Term(row, terms, terms.Of(before)))])
        );
    }

    private IEnumerable<string> Filled(string table) =>
        Enumerable.Range(0, MostRows).Select(n => $"{table}.{n}").Where(row => Names.Clean(this[row + ".label"]).Length > 0);

    private LoadSpec Load(string row)
    {
        var label = Names.Clean(this[row + ".label"]);
        double Amount(string field, string what) =>
            Typed.OptionalNumber(this[$"{row}.{field}"], $"{label}, {what}") ?? throw new Refused($"{label}: say {what}.");
        return new LoadSpec(
            Names.Clean(this[row + ".id"]) is { Length: > 0 } id ? id : Names.Slug(label),
            label,
            Names.Clean(this[row + ".unit"]),
            Names.Clean(this[row + ".says"]) is { Length: > 0 } says ? says : "{0} " + label,
            Amount("usual", "the usual amount"),
            Amount("min", "the least"),
            Amount("max", "the most"),
            Typed.OptionalNumber(this[row + ".step"], $"{label}, the step") ?? 1,
            this[row + ".yes-no"] == "1",
            this[row + ".for-the-record"] == "1"
        );
    }

    /// <param name="before">The lines as they were: an amount left as it was shown keeps its exact value.</param>
    private Term Term(string row, ProfileTerms terms, ValueList<Term> before)
    {
        var label = Names.Clean(this[row + ".label"]);
        var amount =
            Typed.OptionalNumber(this[row + ".amount"], $"{terms.Label}, {label}")
            ?? throw new Refused($"{terms.Label}, {label}: say how much.");
        var same = before.FirstOrDefault(b => Number(b.Amount) == Number(amount));
        return new Term(
            label,
            same?.Amount ?? amount,
            [.. this[row + ".per"].Split([' ', ','], StringSplitOptions.RemoveEmptyEntries)],
            [.. ProfileWords.Kinds.Values.Where(k => this[$"{row}.only.{ProfileWords.Kinds.Word(k)}"] == "1")],
            Trade: this[row + ".published"] != "1",
            Unless: [.. this[row + ".unless"].Split([' ', ','], StringSplitOptions.RemoveEmptyEntries)],
            Past: Typed.OptionalNumber(this[row + ".past"], $"{terms.Label}, {label}, free") ?? 0
        );
    }

    private DayShape Shape(DayShape before)
    {
        var weights = new double[DayShape.Hours];
        for (var hour = 0; hour < weights.Length; hour++)
        {
            var percent = Typed.OptionalNumber(this[$"hour.{hour}"], Numbers.Hour(hour)) ?? 0;
            weights[hour] = Number(Math.Round(before.At(hour) * 100)) == Number(percent) ? before.At(hour) : percent / 100;
        }

        return new DayShape([.. weights]);
    }

    private static string Number(double value) => value.ToString("0.##########", CultureInfo.InvariantCulture);
}
