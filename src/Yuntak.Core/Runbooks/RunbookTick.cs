using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Runbooks;

/// <summary>Ticking a step off: what stands (as built) takes it over.</summary>
public static class RunbookTick
{
    /// <summary>
    /// The edit of what stands for one step. What is only known better by now, such as a corrected figure of a host, is taken over along with it.
    /// </summary>
    /// <exception cref="EditRefused">When applied: the step is not in the runbook any more, is done, or waits for another.</exception>
    public static Edit Off(Lab draft, string stepId) =>
        asBuilt =>
        {
            var runbook = RunbookBuilder.Build(asBuilt, draft);
            var step =
                runbook.Steps.FirstOrDefault(s => s.Id == stepId)
                ?? throw new EditRefused(
                    "That step is no longer in the runbook: the draft has changed since this page was shown. Nothing was ticked off."
                );
            if (step.Done)
            {
                throw new EditRefused($"«{step.What}» is ticked off already.");
            }

            if (!runbook.CanTick(step))
            {
                throw new EditRefused($"«{step.What}» waits for the step before it.");
            }

            return step.Tick(WithKnownFacts(asBuilt, draft));
        };

    /// <summary>The draft's profiles, and those the draft has dropped while something that stands still follows them.</summary>
    private static ValueList<Profile> KnownProfiles(Lab asBuilt, Lab draft) =>
        [
            .. draft.Profiles,
            .. asBuilt.Profiles.Where(p => draft.Book.Find(p.Id) is null && asBuilt.Guests.Any(g => g.Wants.Any(w => w.ProfileId == p.Id))),
        ];

    /// <summary>What stands under a profile that changes keeps its figures: they are written down before the profile is taken over.</summary>
    private static ValueList<Guest> WithFigures(Lab asBuilt, Lab draft)
    {
        var changed = asBuilt
            .Book.All.Where(p => draft.Book.Find(p.Id) is { } planned && planned != p)
            .Select(p => p.Id)
            .ToHashSet(StringComparer.Ordinal);
        return asBuilt.Guests.Change(
            g =>
                g.Wants.Any(w => changed.Contains(w.ProfileId))
                || asBuilt.GuestsIn(g.Id).Any(i => i.Wants.Any(w => changed.Contains(w.ProfileId))),
            g => Ticks.AsFacts(asBuilt, g)
        );
    }

    private static Lab WithKnownFacts(Lab asBuilt, Lab draft) =>
        asBuilt with
        {
            Name = draft.Name,
            Settings = draft.Settings,
            Profiles = KnownProfiles(asBuilt, draft),
            Guests = WithFigures(asBuilt, draft),
            Hosts = asBuilt.Hosts.Change(h => draft.Host(h.Id) is not null, h => draft.Host(h.Id)! with { Pools = h.Pools }),
        };
}
