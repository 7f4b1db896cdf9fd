using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Edits;

/// <summary>Everything wrong with a whole lab: each of its things by itself, and beside the others.</summary>
public static class LabChecks
{
    /// <summary>Every problem with its exact place; none for a sound lab.</summary>
    /// <param name="lab">The lab.</param>
    /// <param name="missing">Disks that a pool names and that are known to be gone from its host.</param>
    public static IEnumerable<Problem> Problems(Lab lab, Func<Host, Pool, IReadOnlyCollection<string>> missing) =>
        LabShapes
            .Settings.Problems(lab.Settings)
            .Select(p => p.Below("settings"))
            .Concat(Twice(lab.Profiles, p => p.Id, "profiles", "id", id => $"The profile «{id}» is there twice."))
            .Concat(lab.Profiles.SelectMany((p, n) => ProfileShapes.Profile.Problems(p).Select(x => x.Below($"profiles[{n}]"))))
            .Concat(Twice(lab.Hosts, h => h.Name, "hosts", "name", name => $"There is already a host called {name}."))
            .Concat(Twice(lab.Hosts, h => h.Id.Value, "hosts", "id", id => $"The id «{id}» is used twice."))
            .Concat(lab.Hosts.SelectMany((h, n) => HostProblems(h, missing).Select(p => p.Below($"hosts[{n}]"))))
            .Concat(TwiceAmongGuests(lab))
            .Concat(lab.Guests.SelectMany((g, n) => GuestChecks.Problems(lab, g).Select(p => p.Below($"guests[{n}]"))))
            .Concat(WireChecks.Problems(lab))
            .Concat(KeepingChecks.Problems(lab));

    /// <summary>What a change may have brought in: as <see cref="Problems"/>, but where hosts, profiles and assumptions stayed as they are only the guests that changed are looked at.</summary>
    /// <param name="before">The lab before the change.</param>
    /// <param name="after">The lab after it.</param>
    /// <param name="missing">Disks that a pool names and that are known to be gone from its host.</param>
    public static IEnumerable<Problem> AfterChange(Lab before, Lab after, Func<Host, Pool, IReadOnlyCollection<string>> missing)
    {
        if (
            before.Hosts != after.Hosts
            || before.Profiles != after.Profiles
            || before.Settings != after.Settings
            || !WireChecks.Same(before, after)
        )
        {
            return Problems(after, missing);
        }

        var same = before.Guests.ToHashSet<Guest>(ReferenceEqualityComparer.Instance);
        return TwiceAmongGuests(after)
            .Concat(
                KeepingChecks.Same(before, after) && before.Folders == after.Folders && before.Guests.Count <= after.Guests.Count
                    ? []
                    : KeepingChecks.Problems(after)
            )
            .Concat(after.Guests.Where(g => !same.Contains(g) || g.RunsIn is not null).SelectMany(g => GuestChecks.Problems(after, g)));
    }

    private static IEnumerable<Problem> TwiceAmongGuests(Lab lab) =>
        Twice(lab.Guests, g => g.Name, "guests", "name", name => $"There is already a guest called {name}.")
            .Concat(Twice(lab.Guests, g => g.Id.Value, "guests", "id", id => $"The id «{id}» is used twice."));

    private static IEnumerable<Problem> HostProblems(Host host, Func<Host, Pool, IReadOnlyCollection<string>> missing)
    {
        foreach (var problem in HostShapes.Host.Problems(host))
        {
            yield return problem;
        }

        for (var n = 0; n < host.Pools.Count; n++)
        {
            var before = host with { Pools = [.. host.Pools.Take(n)] };
            foreach (var problem in PoolChecks.Problems(before, host.Pools[n], missing: missing(host, host.Pools[n])))
            {
                yield return problem.Below($"pools[{n}]");
            }
        }
    }

    private static IEnumerable<Problem> Twice<T>(
        ValueList<T> things,
        Func<T, string> of,
        string list,
        string member,
        Func<string, string> words
    )
    {
        var seen = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        for (var n = 0; n < things.Count; n++)
        {
            if (!seen.Add(of(things[n])))
            {
                yield return new Problem($"{list}[{n}].{member}", words(of(things[n])));
            }
        }
    }
}
