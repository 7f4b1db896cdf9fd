using Yuntak.Core.Labs;

namespace Yuntak.Core.Edits;

/// <summary>Joins two changes of the same lab made at the same time.</summary>
public static class LabMerge
{
    /// <summary>
    /// Both sets of changes on one lab, when no host and no guest was changed by both; else null and the names they clash on.
    /// </summary>
    /// <param name="common">The lab both started from.</param>
    /// <param name="theirs">What stands now.</param>
    /// <param name="mine">What was wanted.</param>
    /// <param name="clashes">Names changed differently by both.</param>
    public static Lab? ThreeWay(Lab common, Lab theirs, Lab mine, out IReadOnlyList<string> clashes)
    {
        List<string> found = [];
        var name = One(common.Name, theirs.Name, mine.Name, "the lab's name", found);
        var settings = One(common.Settings, theirs.Settings, mine.Settings, "the assumptions", found);
        var ticks = One(common.Ticks, theirs.Ticks, mine.Ticks, "the ticks", found);
        var hosts = Items(common.Hosts, theirs.Hosts, mine.Hosts, h => h.Id.Value, h => h.Name, found);
        var guests = Items(common.Guests, theirs.Guests, mine.Guests, g => g.Id.Value, g => g.Name, found);
        var profiles = Items(common.Profiles, theirs.Profiles, mine.Profiles, p => p.Id, p => p.Name, found);
        clashes = found;
        if (found.Count > 0)
        {
            return null;
        }

        var merged = new Lab(name, settings, hosts, guests, ticks, profiles);
        var dangling = merged.Guests.FirstOrDefault(g => g.Placement is not null && merged.Host(g.Placement.Host) is null);
        if (dangling is not null)
        {
            clashes = [$"{dangling.Name} (its host is gone)"];
            return null;
        }

        var lost = merged.Guests.FirstOrDefault(g =>
            (g.RunsIn is not null && merged.Outer(g) is null) || g.Wants.Any(w => merged.Book.Find(w.ProfileId) is null)
        );
        if (lost is not null)
        {
            clashes =
            [
                $"{lost.Name} ({(lost.RunsIn is not null && merged.Outer(lost) is null ? "the guest it runs in" : "its profile")} is gone)",
            ];
            return null;
        }

        return merged;
    }

    private static ValueList<T> Items<T>(
        ValueList<T> common,
        ValueList<T> theirs,
        ValueList<T> mine,
        Func<T, string> id,
        Func<T, string> name,
        List<string> clashes
    )
        where T : class
    {
        var was = common.ToDictionary(id, StringComparer.Ordinal);
        var wanted = mine.ToDictionary(id, StringComparer.Ordinal);
        List<T> result = [];
        foreach (var item in theirs)
        {
            var key = id(item);
            // Added by both under one id: the same thing twice, or a clash.
            var merged = One(was.GetValueOrDefault(key), item, wanted.GetValueOrDefault(key), name(item), clashes);
            if (merged is not null)
            {
                result.Add(merged);
            }
        }

        foreach (var item in mine.Where(i => theirs.All(t => id(t) != id(i))))
        {
            var merged = One(was.GetValueOrDefault(id(item)), null, item, name(item), clashes);
            if (merged is not null)
            {
                result.Add(merged);
            }
        }

        return [.. result];
    }

    private static T One<T>(T common, T theirs, T mine, string name, List<string> clashes)
    {
        var same = EqualityComparer<T>.Default;
        if (same.Equals(theirs, mine) || same.Equals(mine, common))
        {
            return theirs;
        }

        if (!same.Equals(theirs, common))
        {
            clashes.Add(name);
        }

        return mine;
    }
}
