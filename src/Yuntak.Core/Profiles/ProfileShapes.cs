using Yuntak.Core.Base;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Profiles;

/// <summary>The shapes of a profile and what it is made of.</summary>
public static class ProfileShapes
{
    private static readonly Codec<double> Number = Codecs.Number(-double.MaxValue, double.MaxValue);
    private static readonly Codec<string> Text = Codecs.Text(ProfileChecks.LongestText);
    private static readonly Codec<string> Id = Codecs.Text(Names.LongestName);

    private static readonly (string Word, ValueList<double> List)[] Days =
    [
        ("flat", DayShape.Flat.Weights),
        ("evening", DayShape.Evening.Weights),
        ("working-day", DayShape.WorkingDay.Weights),
        ("household", DayShape.Household.Weights),
        ("afternoon", DayShape.Afternoon.Weights),
        ("night", DayShape.Night.Weights),
    ];

    private static readonly Shape<LoadSpec> Load = new(
        "load",
        new LoadSpec("", "", "", "", 0, 0, 0),
        Of<LoadSpec>.Always("id", nameof(LoadSpec.Id), "id", Id, "", l => l.Id, (l, v) => l with { Id = v }),
        Of<LoadSpec>.Always("label", nameof(LoadSpec.Label), "question", Text, "", l => l.Label, (l, v) => l with { Label = v }),
        Of<LoadSpec>.Always("says", nameof(LoadSpec.Says), "sentence", Text, "", l => l.Says, (l, v) => l with { Says = v }),
        Of<LoadSpec>.Value("unit", nameof(LoadSpec.Unit), "unit", Text, "", l => l.Unit, (l, v) => l with { Unit = v }),
        Of<LoadSpec>.Always("usual", nameof(LoadSpec.Default), "usual", Number, 0, l => l.Default, (l, v) => l with { Default = v }),
        Of<LoadSpec>.Always("min", nameof(LoadSpec.Min), "least", Number, 0, l => l.Min, (l, v) => l with { Min = v }),
        Of<LoadSpec>.Always("max", nameof(LoadSpec.Max), "most", Number, 0, l => l.Max, (l, v) => l with { Max = v }),
        Of<LoadSpec>.Value(
            "step",
            nameof(LoadSpec.Step),
            "step",
            Codecs.Number(0, double.MaxValue),
            1,
            l => l.Step,
            (l, v) => l with { Step = v }
        ),
        Of<LoadSpec>.Value(
            "yes-no",
            nameof(LoadSpec.YesNo),
            "a question of yes or no",
            Codecs.Flag(),
            false,
            l => l.YesNo,
            (l, v) => l with { YesNo = v }
        ),
        Of<LoadSpec>.Value(
            "for-the-record",
            nameof(LoadSpec.ForTheRecord),
            "only for the record",
            Codecs.Flag(),
            false,
            l => l.ForTheRecord,
            (l, v) => l with { ForTheRecord = v }
        )
    );

    private static readonly Shape<Term> Term = new(
        "line of a sum",
        new Term("", 0),
        Of<Term>.Always("label", nameof(Profiles.Term.Label), "what it stands for", Text, "", t => t.Label, (t, v) => t with { Label = v }),
        Of<Term>.Always("amount", nameof(Profiles.Term.Amount), "amount", Number, 0, t => t.Amount, (t, v) => t with { Amount = v }),
        new ListOf<Term, string>(
            "per",
            nameof(Profiles.Term.Per),
            "loads it is multiplied by",
            Id,
            t => t.Per,
            (t, v) => t with { Per = v }
        )
        {
            Most = 10,
        },
        new ListOf<Term, GuestKind>(
            "only",
            nameof(Profiles.Term.Only),
            "only for",
            Codecs.Word(ProfileWords.Kinds),
            t => t.Only,
            (t, v) => t with { Only = v }
        )
        {
            Most = 3,
        },
        Of<Term>.Value(
            "published",
            nameof(Profiles.Term.Trade),
            "follows from a published unit",
            Codecs.Flag(),
            false,
            t => !t.Trade,
            (t, v) => t with { Trade = !v }
        ),
        new ListOf<Term, string>(
            "unless",
            nameof(Profiles.Term.Unless),
            "only while these are answered with no",
            Id,
            t => t.Unless,
            (t, v) => t with { Unless = v }
        )
        {
            Most = 10,
        },
        Of<Term>.Value(
            "past",
            nameof(Profiles.Term.Past),
            "how much of the first load is free",
            Codecs.Number(0, double.MaxValue),
            0,
            t => t.Past,
            (t, v) => t with { Past = v }
        )
    );

    private static readonly Shape<ProfileClaim> Claim = new(
        "claim a profile brings",
        new ProfileClaim(DeviceNeed.Other),
        Of<ProfileClaim>.Always(
            "need",
            nameof(ProfileClaim.Need),
            "needs",
            Codecs.Word(ProfileWords.Needs),
            DeviceNeed.Other,
            c => c.Need,
            (c, v) => c with { Need = v }
        ),
        new ListOf<ProfileClaim, string>(
            "per",
            nameof(ProfileClaim.Per),
            "loads that ask for it",
            Id,
            c => c.Per,
            (c, v) => c with { Per = v }
        )
        {
            Most = 10,
        },
        new ListOf<ProfileClaim, string>(
            "unless",
            nameof(ProfileClaim.Unless),
            "only while these are answered with no",
            Id,
            c => c.Unless,
            (c, v) => c with { Unless = v }
        )
        {
            Most = 10,
        }
    );

    /// <summary>A profile.</summary>
    public static readonly Shape<Profile> Profile = new(
        "profile",
        new Profile("", "", "", Family.House, [], [], [], [], [], [], DayShape.Flat, [], ""),
        Of<Profile>.Always("id", nameof(Profiles.Profile.Id), "id", Id, "", p => p.Id, (p, v) => p with { Id = v }),
        Of<Profile>.Always("name", nameof(Profiles.Profile.Name), "name", Text, "", p => p.Name, (p, v) => p with { Name = v }),
        Of<Profile>.Always(
            "summary",
            nameof(Profiles.Profile.Summary),
            "summary",
            Text,
            "",
            p => p.Summary,
            (p, v) => p with { Summary = v }
        ),
        Of<Profile>.Always(
            "family",
            nameof(Profiles.Profile.Family),
            "family",
            Codecs.Word(ProfileWords.Families),
            Family.House,
            p => p.Family,
            (p, v) => p with { Family = v }
        ),
        new ListOf<Profile, GuestKind>(
            "advised",
            nameof(Profiles.Profile.Advised),
            "advised",
            Codecs.Word(ProfileWords.Kinds),
            p => p.Advised,
            (p, v) => p with { Advised = v }
        )
        {
            Most = 3,
        }.IsNeeded(),
        Of<Profile>.Value("advice", nameof(Profiles.Profile.Advice), "advice", Text, "", p => p.Advice, (p, v) => p with { Advice = v }),
        Of<Profile>.MaybeText(
            "caution",
            nameof(Profiles.Profile.Caution),
            "caution",
            Text,
            p => p.Caution,
            (p, v) => p with { Caution = v }
        ),
        new ListOf<Profile, string>("needs", nameof(Profiles.Profile.Needs), "needs", Text, p => p.Needs, (p, v) => p with { Needs = v })
        {
            Most = 20,
        },
        new Parts<Profile, ProfileClaim>(
            "claims",
            nameof(Profiles.Profile.Claims),
            "claim",
            () => Claim,
            c => ProfileWords.Needs.Word(c.Need),
            p => p.Claims,
            (p, v) => p with { Claims = v }
        )
        {
            Most = 8,
        },
        new ListOf<Profile, int>(
            "ports",
            nameof(Profiles.Profile.Ports),
            "ports",
            Codecs.Whole(1, 65_535),
            p => p.Ports,
            (p, v) => p with { Ports = v }
        )
        {
            Most = 50,
        },
        Of<Profile>.Value(
            "start-order",
            nameof(Profiles.Profile.StartOrder),
            "start order",
            Codecs.Whole(0, 1000),
            50,
            p => p.StartOrder,
            (p, v) => p with { StartOrder = v }
        ),
        Of<Profile>.Value(
            "first-start-minutes",
            nameof(Profiles.Profile.FirstStartMinutes),
            "first start, minutes",
            Codecs.Whole(0, 1_440),
            2,
            p => p.FirstStartMinutes,
            (p, v) => p with { FirstStartMinutes = v }
        ),
        Of<Profile>.Value(
            "memory-floor",
            nameof(Profiles.Profile.MemoryFloorGiB),
            "the least memory that makes sense, GiB",
            Codecs.Number(0, 4096),
            0,
            p => p.MemoryFloorGiB,
            (p, v) => p with { MemoryFloorGiB = v }
        ),
        new Parts<Profile, LoadSpec>(
            "loads",
            nameof(Profiles.Profile.Loads),
            "load",
            () => Load,
            l => l.Id,
            p => p.Loads,
            (p, v) => p with { Loads = v }
        )
        {
            Most = 30,
        },
        Sum(0),
        Sum(1),
        Sum(2),
        Sum(3),
        Sum(4),
        Sum(5),
        Sum(6),
        Sum(7),
        Sum(8),
        Sum(9),
        Sum(10),
        Sum(11),
        Sum(12),
        Sum(13),
        new WordOrList<Profile>(
            "shape",
            nameof(Profiles.Profile.Shape),
            "how the day goes",
            Number,
            Days,
            p => p.Shape.Weights,
            (p, v) => p with { Shape = new DayShape(v) }
        )
    )
    {
        Check = ProfileChecks.Problems,
    };

    private static Field<Profile> Sum(int n)
    {
        var terms = ProfileTerms.All[n];
        return new Parts<Profile, Term>(terms.Word, terms.Member, terms.Label, () => Term, t => t.Label, terms.Of, terms.With)
        {
            Most = 40,
        };
    }
}
