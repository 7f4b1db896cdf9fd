using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Ticking a step off: what stands (as built) takes it over.</summary>
public static class RunbookTick
{
    /// <summary>
    /// The edit of what stands for one step. What is only known better by now, such as hours a disk has run, is taken over along with it; what is planned is not.
    /// </summary>
    /// <exception cref="Refused">When applied: the step is not in the runbook any more, is done, or waits for another.</exception>
    /// <param name="draft">What is planned.</param>
    /// <param name="stepId">The step.</param>
    /// <param name="took">How many minutes it took; null when nobody measured.</param>
    /// <param name="today">The day; null for who has no clock.</param>
    /// <param name="learned">Told, when applied, what the draft learns from it: how fast a job copies, that a drill brought back what it was to.</param>
    public static Edit Off(Lab draft, string stepId, double? took = null, DateOnly? today = null, Action<Edit>? learned = null) =>
        asBuilt =>
        {
            var (changed, learns) = One(asBuilt, draft, stepId, took, today);
            if (learns is not null)
            {
                learned?.Invoke(learns);
            }

            return changed;
        };

    /// <summary>The edit of what stands for all that is left of one piece of work, step by step in its order, up to the first that has to wait for other work.</summary>
    /// <exception cref="Refused">When applied: the work is not in the runbook any more, or nothing of it can be ticked off now.</exception>
    /// <param name="draft">What is planned.</param>
    /// <param name="sectionKey">The piece of work.</param>
    /// <param name="today">The day; null for who has no clock.</param>
    /// <param name="learned">Told, when applied, what the draft learns from it; once for each step that shows something.</param>
    public static Edit OffAll(Lab draft, string sectionKey, DateOnly? today = null, Action<Edit>? learned = null) =>
        asBuilt =>
        {
            var ticks = Walk(asBuilt, draft, sectionKey, today).ToList();
            foreach (var learns in ticks.Select(t => t.Learns).OfType<Edit>())
            {
                learned?.Invoke(learns);
            }

            return ticks.Count > 0
                ? new Changed(ticks[^1].Changed.Lab, $"{ticks[^1].Title}: {Numbers.Count(ticks.Count, "step")} at once")
                : throw new Refused(
                    "Nothing of that work can be ticked off now: it waits for something before it, or the draft has changed."
                );
        };

    /// <summary>Ticks off what can be of a piece of work, one after the other, each on what is known by then.</summary>
    private static IEnumerable<(Changed Changed, string Title, Edit? Learns)> Walk(Lab now, Lab draft, string sectionKey, DateOnly? today)
    {
        while (
            RunbookBuilder.Build(now, draft) is var runbook
            && runbook.Sections.FirstOrDefault(s => s.Key == sectionKey) is { } section
            && section.Steps.FirstOrDefault(runbook.CanTick) is { } next
        )
        {
            var (changed, learns) = One(now, draft, next.Id, null, today);
            yield return (changed, section.Title, learns);
            (now, draft) = (changed.Lab, learns?.Invoke(draft).Lab ?? draft);
        }
    }

    /// <summary>Ticks one step off: what stands then, in words, and what the draft learns from it.</summary>
    private static (Changed Changed, Edit? Learns) One(Lab asBuilt, Lab draft, string stepId, double? took, DateOnly? today)
    {
        var runbook = RunbookBuilder.Build(asBuilt, draft);
        var step =
            runbook.Steps.FirstOrDefault(s => s.Id == stepId)
            ?? throw new Refused(
                "That step is no longer in the runbook: the draft has changed since this page was shown. Nothing was ticked off."
            );
        if (step.Done)
        {
            throw new Refused($"«{step.What}» is ticked off already.");
        }

        if (!step.Act.CanBeDone)
        {
            throw new Refused($"{step.What}. {step.Caution} A stop is not ticked off; it goes when its reason goes.");
        }

        if (!runbook.CanTick(step))
        {
            throw new Refused($"«{step.What}» waits for {(step.After.Count > 1 ? "steps" : "the step")} before it.");
        }

        var section = runbook.Sections.First(s => s.Steps.Contains(step));
        var settled = RunbookBuilder.Settled(asBuilt, draft);
        var plan = new Plan(settled, draft);
        var work = WorkBook.Between(plan).First(w => w.Key == section.Key);
        var ticked = Ticked(settled, plan, work, section, step);
        var minutes = Checked(took);
        var learns = step.Act.Learns(plan, minutes is { } measured ? new Duration(measured) : null, today);
        ticked = learns is null ? Measured(ticked, plan, step, minutes) : ticked;
        var left = ticked with { Ticks = ticked.Ticks.Without(t => runbook.Steps.All(s => s.Id != t)) };
        var words = section.Open > 1 ? $"{section.Title}: {step.What}" : $"{section.Title}: done";
        return (new Changed(Known.Adopt(left, learns?.Invoke(draft).Lab ?? draft), words), learns);
    }

    /// <summary>With what a step took, held against what was expected before anything was measured.</summary>
    private static Lab Measured(Lab stands, Plan plan, RunbookStep step, double? took)
    {
        if (took is not { } minutes)
        {
            return stands;
        }

        var factor = Math.Clamp(minutes / Math.Max(1, step.Act.Takes(plan).Minutes), TookTime.Least, TookTime.Most);
        return stands with
        {
            Took = stands.Took.Any(t => t.Act == step.Act.Type)
                ? stands.Took.Change(t => t.Act == step.Act.Type, t => t.With(factor))
                : stands.Took.With(new TookTime(step.Act.Type, factor)),
        };
    }

    private static double? Checked(double? took) =>
        took is null or > 0 and <= MostMinutes
            ? took
            : throw new Refused("How long it took is a number of minutes over 0, a month at most. Nothing was ticked off.");

    private const double MostMinutes = 31 * 24 * 60;

    private static Lab Ticked(Lab stands, Plan plan, Work work, RunbookSection section, RunbookStep step)
    {
        if (step.Act is ShutDownMeanwhile or ParkVolume && section.Open > 1)
        {
            // Who steps aside for this work is as it was once its own turn has come.
            return stands with { Ticks = stands.Ticks.With(step.Id) };
        }

        var own = section.Steps.Select(s => s.Id).ToHashSet(StringComparer.Ordinal);
        if (work.AdoptAt(stands, plan, step.Act) is { } alone)
        {
            return section.Open > 1 ? alone : alone with { Ticks = alone.Ticks.Without(own.Contains) };
        }

        if (section.Open > 1)
        {
            return stands with { Ticks = stands.Ticks.With(step.Id) };
        }

        return work.Adopt(stands, plan) with
        {
            Ticks = stands.Ticks.Without(own.Contains),
        };
    }
}
