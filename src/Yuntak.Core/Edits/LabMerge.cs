using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Edits;

/// <summary>Joins two changes of the same lab made at the same time.</summary>
public static class LabMerge
{
    /// <summary>
    /// Both sets of changes on one lab, when no host, guest or profile was changed by both; else null and the names they clash on. It follows the shape of a
    /// lab, so that no list of it can be forgotten.
    /// </summary>
    /// <param name="common">The lab both started from.</param>
    /// <param name="theirs">What stands now.</param>
    /// <param name="mine">What was wanted.</param>
    /// <param name="clashes">Names changed differently by both.</param>
    public static Lab? ThreeWay(Lab common, Lab theirs, Lab mine, out IReadOnlyList<string> clashes)
    {
        List<string> found = [];
        var merged = LabShapes.Lab.Merge(common, theirs, mine, found);
        if (found.Count == 0)
        {
            found.AddRange(Lost(merged));
        }

        clashes = found;
        return found.Count == 0 ? merged : null;
    }

    /// <summary>What one change took away from under the other.</summary>
    private static IEnumerable<string> Lost(Lab lab)
    {
        foreach (var guest in lab.Guests)
        {
            if (guest.Placement is { } place && lab.Host(place.Host) is null)
            {
                yield return $"{guest.Name} (its host is gone)";
            }
            else if (guest.RunsIn is not null && lab.Outer(guest) is null)
            {
                yield return $"{guest.Name} (the guest it runs in is gone)";
            }
            else if (guest.Wants.Any(w => lab.Book.Find(w.ProfileId) is null))
            {
                yield return $"{guest.Name} (its profile is gone)";
            }
        }
    }
}
