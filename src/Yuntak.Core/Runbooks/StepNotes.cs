using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>What is written down at steps: values only a person can know, and notes. It is kept with what stands.</summary>
public static class StepNotes
{
    /// <summary>The longest text, in characters.</summary>
    public const int Longest = 1_000;

    /// <summary>What was written for a blank of a step; for a note the label is empty. Null when nothing was.</summary>
    public static string? Of(Lab asBuilt, string step, string label = "") =>
        asBuilt.Notes.FirstOrDefault(n => n.Step == step && n.Label == label)?.Text;

    /// <summary>The edit of what stands that writes down some values of a step; an empty one is taken away.</summary>
    /// <param name="runbook">The runbook the step is in.</param>
    /// <param name="step">The step's id.</param>
    /// <param name="texts">Texts by label.</param>
    /// <exception cref="Refused">When applied: there is no such step or blank, a text is too long, or there are too many.</exception>
    public static Edit Write(Runbook runbook, string step, IReadOnlyDictionary<string, string> texts) =>
        asBuilt =>
        {
            var found =
                runbook.Steps.FirstOrDefault(s => s.Id == step)
                ?? throw new Refused("That step is no longer in the runbook: the draft has changed. Nothing was written down.");
            var labels = found.Values.Where(v => v.Blank).Select(v => v.Label).Append("").ToHashSet(StringComparer.Ordinal);
            if (texts.Keys.FirstOrDefault(l => !labels.Contains(l)) is { } unknown)
            {
                throw new Refused($"«{found.What}» has no blank called «{Names.Short(unknown)}».");
            }

            if (texts.Values.Any(t => t.Length > Longest))
            {
                throw new Refused($"A note has {Longest} characters at most. Nothing was written down.");
            }

            var kept = asBuilt.Notes.Without(n => n.Step == step && texts.ContainsKey(n.Label));
            var written = texts
                .Select(t => new StepEntry(step, t.Key, string.Concat(t.Value.Trim().Select(c => char.IsControl(c) ? ' ' : c))))
                .Where(n => n.Text.Length > 0);
            ValueList<StepEntry> notes = [.. kept, .. written];
            return notes.Count <= RunbookShapes.Most
                ? new Changed(asBuilt with { Notes = notes }, $"Written down at «{found.What}»")
                : throw new Refused($"There are {RunbookShapes.Most} notes already: take some away first.");
        };
}
