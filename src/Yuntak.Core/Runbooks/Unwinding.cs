using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>The way back out of a piece of work that is half done: what was done, taken back in reverse.</summary>
public static class Unwinding
{
    /// <summary>What was done of a piece of work, the last first; empty when nothing was, or all is through.</summary>
    public static IReadOnlyList<RunbookStep> Of(RunbookSection section) =>
        section.Open == 0 || section.Open == section.Steps.Count ? [] : [.. section.Steps.Where(s => s.Done).Reverse()];

    /// <summary>Why there is no way back; null when there is one.</summary>
    public static string? Barred(RunbookSection section) =>
        Of(section).FirstOrDefault(s => !s.Act.GoesBack) is { } last ? $"«{last.What}» cannot be taken back: go on instead." : null;

    /// <summary>The edit of what stands once all of it was taken back: the ticks are gone, and a guest that was half built is no more.</summary>
    /// <exception cref="Refused">When applied: nothing of it is done, it is through, or it cannot be taken back.</exception>
    public static Edit Back(Runbook runbook, string sectionKey) =>
        asBuilt =>
        {
            var section =
                runbook.Sections.FirstOrDefault(s => s.Key == sectionKey) ?? throw new Refused("That work is no longer in the runbook.");
            var steps = Of(section);
            if (steps.Count == 0)
            {
                throw new Refused($"{section.Title}: nothing of it is half done.");
            }

            if (Barred(section) is { } why)
            {
                throw new Refused(why);
            }

            var ids = section.Steps.Select(s => s.Id).ToHashSet(StringComparer.Ordinal);
            var back = asBuilt with { Ticks = asBuilt.Ticks.Without(ids.Contains) };
            if (section.Builds is { } guest && back.Guest(guest) is not null)
            {
                if (back.GuestsIn(guest).Any())
                {
                    throw new Refused($"{section.Title}: others run inside it already. Take those back first.");
                }

                back = WireEdits.Without(back with { Guests = back.Guests.Without(g => g.Id == guest) });
            }

            return new Changed(back, $"{section.Title}: taken back, {Numbers.Count(steps.Count, "step")}");
        };
}
