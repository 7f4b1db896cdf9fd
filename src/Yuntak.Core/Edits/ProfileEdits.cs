using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Edits;

/// <summary>Changes to a lab's own profiles.</summary>
public static class ProfileEdits
{
    /// <summary>Keeps profiles: each stands in the place of one with the same id, or beside the others.</summary>
    public static Edit Keep(params IReadOnlyList<Profile> profiles) =>
        lab =>
        {
            foreach (var profile in profiles)
            {
                foreach (var problem in ProfileShapes.Profile.Problems(profile))
                {
                    throw new Refused($"{profile.Name}, {problem.Path}: {problem.Text}.");
                }
            }

            var ids = profiles.Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
            var kept = lab with { Profiles = [.. lab.Profiles.Where(p => !ids.Contains(p.Id)), .. profiles] };
            if (kept.Profiles.Count > ProfileChecks.MostProfiles)
            {
                throw new Refused($"A lab holds {ProfileChecks.MostProfiles} profiles of its own at most.");
            }

            return Settled(kept, ids, $"own profile {string.Join(", ", profiles.Select(p => p.Name))} kept");
        };

    /// <summary>Drops an own profile; where it stood in the place of one that comes with Yuntak, that one counts again.</summary>
    public static Edit Drop(string id) =>
        lab =>
        {
            var own = lab.Book.Own(id) ?? throw new Refused("That is not one of the lab's own profiles, or it is gone already.");
            var users = lab.Guests.Where(g => g.Wants.Any(w => w.ProfileId == id)).Select(g => g.Name).ToList();
            if (users.Count > 0 && !ProfileBook.IsBuiltIn(id))
            {
                throw new Refused(
                    $"{string.Join(", ", users)} {(users.Count == 1 ? "follows" : "follow")} the profile {own.Name}. Give {(users.Count == 1 ? "it" : "them")} another first."
                );
            }

            return Settled(
                lab with
                {
                    Profiles = lab.Profiles.Without(p => p.Id == id),
                },
                [id],
                ProfileBook.IsBuiltIn(id) ? $"{own.Name}: back to the profile that comes with Yuntak" : $"own profile {own.Name} dropped"
            );
        };

    /// <summary>Loads that a changed profile no longer asks for, or not as much of, follow its usual amounts again; the sentence says so.</summary>
    private static Changed Settled(Lab lab, HashSet<string> changed, string sentence)
    {
        List<string> dropped = [];
        var guests = lab.Guests.Change(
            g => g.Wants.Any(w => changed.Contains(w.ProfileId)),
            g => g with { Wants = [.. g.Wants.Select(w => changed.Contains(w.ProfileId) ? Settled(lab, g, w, dropped) : w)] }
        );
        return new Changed(
            lab with
            {
                Guests = guests,
            },
            sentence + (dropped.Count > 0 ? $"; {string.Join(", ", dropped)} no longer counts" : "")
        );
    }

    private static Want Settled(Lab lab, Guest guest, Want want, List<string> dropped)
    {
        var profile = lab.Book.Get(want.ProfileId);
        List<LoadValue> kept = [];
        foreach (var load in want.Load)
        {
            if (profile.Loads.FirstOrDefault(l => l.Id == load.Id) is { } spec && load.Value >= spec.Min && load.Value <= spec.Max)
            {
                kept.Add(load);
            }
            else
            {
                dropped.Add($"{guest.Name}'s {load.Id}");
            }
        }

        return want with
        {
            Load = [.. kept],
        };
    }
}
