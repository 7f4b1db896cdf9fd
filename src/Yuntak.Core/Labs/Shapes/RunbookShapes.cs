using Yuntak.Core.Shapes;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of what is kept of working through a runbook.</summary>
internal static class RunbookShapes
{
    /// <summary>The longest id of a step, note or value, in characters.</summary>
    public const int Longest = 400;

    /// <summary>The most that is kept of each.</summary>
    public const int Most = 5_000;

    /// <summary>What was written down at a step.</summary>
    internal static readonly Shape<StepEntry> Entry = new(
        "note",
        new StepEntry("", "", ""),
        Of<StepEntry>.Always("step", nameof(StepEntry.Step), "step", Codecs.Text(Longest), "", e => e.Step, (e, v) => e with { Step = v }),
        Of<StepEntry>.Value("for", nameof(StepEntry.Label), "for", Codecs.Text(Longest), "", e => e.Label, (e, v) => e with { Label = v }),
        Of<StepEntry>.Always("text", nameof(StepEntry.Text), "text", Codecs.Text(1_000), "", e => e.Text, (e, v) => e with { Text = v })
    );

    internal static readonly Shape<TookTime> Took = new(
        "measured time",
        new TookTime("", 1),
        Of<TookTime>.Always("step", nameof(TookTime.Act), "kind of step", Codecs.Text(100), "", t => t.Act, (t, v) => t with { Act = v }),
        Of<TookTime>.Always(
            "factor",
            nameof(TookTime.Factor),
            "times what was expected",
            Codecs.Number(TookTime.Least, TookTime.Most),
            1,
            t => t.Factor,
            (t, v) => t with { Factor = v }
        ),
        Of<TookTime>.Value(
            "times",
            nameof(TookTime.Times),
            "times",
            Codecs.Whole(1, 1_000_000),
            1,
            t => t.Times,
            (t, v) => t with { Times = v }
        )
    );

    internal static Field<Lab> Notes { get; } =
        new Parts<Lab, StepEntry>(
            "notes",
            nameof(Labs.Lab.Notes),
            "note",
            () => RunbookShapes.Entry,
            e => $"{e.Step} {e.Label}",
            l => l.Notes,
            (l, v) => l with { Notes = v }
        )
        {
            Most = RunbookShapes.Most,
        }
            .IsSilent()
            .Explained("as built only: values and notes written down at steps of the runbook");

    internal static Field<Lab> Times { get; } =
        new Parts<Lab, TookTime>(
            "took",
            nameof(Labs.Lab.Took),
            "measured time",
            () => RunbookShapes.Took,
            t => t.Act,
            l => l.Took,
            (l, v) => l with { Took = v }
        )
        {
            Most = RunbookShapes.Most,
        }
            .IsSilent()
            .Explained("as built only: how long kinds of steps took here, for each minute that was expected");
}
