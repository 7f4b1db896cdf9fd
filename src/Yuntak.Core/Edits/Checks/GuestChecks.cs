using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Edits;

/// <summary>What is wrong with a guest in its lab, whatever door it came through.</summary>
internal static class GuestChecks
{
    /// <summary>Every problem, the first of them the one a form shows; none for a sound guest.</summary>
    public static IEnumerable<Problem> Problems(Lab lab, Guest guest)
    {
        if (guest.Wants.Count == 0)
        {
            yield return new Problem("wants", $"Say what {guest.Name} is for.");
        }

        foreach (
            var problem in guest
                .Wants.SelectMany((w, n) => WantProblems(lab, w).Select(p => p.Below($"wants[{n}]")))
                .Concat(GuestShapes.Guest.Problems(guest))
                .Concat(FolderProblems(guest))
                .Concat(PlaceProblems(lab, guest))
                .Concat(NestingProblems(lab, guest))
                .Concat(WireChecks.Problems(lab, guest))
        )
        {
            yield return problem;
        }
    }

    private static IEnumerable<Problem> WantProblems(Lab lab, Want want)
    {
        if (lab.Book.Find(want.ProfileId) is not { } profile)
        {
            yield return new Problem(
                "profile",
                $"There is no profile called «{Names.Short(want.ProfileId)}»; one of {string.Join(", ", lab.Book.All.Select(p => p.Id))} belongs here."
            );
            yield break;
        }

        foreach (var load in want.Load)
        {
            if (Loads.Problem(profile, load.Id, load.Value) is { } problem)
            {
                yield return new Problem($"load.{load.Id}", problem);
            }
        }
    }

    private static IEnumerable<Problem> FolderProblems(Guest guest)
    {
        for (var n = 0; n < guest.Folders.Count; n++)
        {
            foreach (var (name, path) in new[] { ("host", guest.Folders[n].HostPath), ("container", guest.Folders[n].ContainerPath) })
            {
                if (!path.StartsWith('/'))
                {
                    yield return new Problem(
                        $"folders[{n}].{name}",
                        $"A folder begins with a slash, such as /srv/films; «{Names.Short(path)}» does not."
                    );
                }
            }
        }
    }

    private static IEnumerable<Problem> PlaceProblems(Lab lab, Guest guest)
    {
        if (guest.Placement is not { } place)
        {
            yield break;
        }

        if (lab.Host(place.Host) is not { } host)
        {
            yield return new Problem(
                "on.host",
                $"There is no host called «{Names.Short(place.Host.Value)}»; there are {string.Join(", ", lab.Hosts.Select(h => h.Name))}."
            );
            yield break;
        }

        foreach (var (name, pool) in new[] { ("system-pool", place.SystemPool), ("bulk-pool", place.BulkPool) })
        {
            if (pool is not null && host.PoolNamed(pool) is null)
            {
                yield return new Problem($"on.{name}", $"{host.Name} has no pool called «{Names.Short(pool)}».");
            }
        }
    }

    private static IEnumerable<Problem> NestingProblems(Lab lab, Guest guest)
    {
        if (guest.Kind == GuestKind.AppStack && lab.GuestsIn(guest.Id).Select(g => g.Name).ToList() is { Count: > 0 } inside)
        {
            yield return new Problem(
                "kind",
                $"{guest.Name} cannot become an app stack while {string.Join(", ", inside)} {(inside.Count == 1 ? "runs" : "run")} in it."
            );
        }

        if (guest.RunsIn is null)
        {
            yield break;
        }

        if (guest.Kind != GuestKind.AppStack)
        {
            yield return new Problem("runs-in", $"{guest.Name} is a {guest.Kind.Words()}; only app stacks run inside another guest.");
        }
        else if (lab.Outer(guest) is not { } outer)
        {
            yield return new Problem("runs-in", $"The guest {guest.Name} should run in is not in the lab.");
        }
        else if (outer.Kind == GuestKind.AppStack)
        {
            yield return new Problem("runs-in", $"{outer.Name} is an app stack itself and has no engine for {guest.Name}.");
        }
        else if (guest.Placement is not null)
        {
            yield return new Problem("on", $"What runs in another guest has no place of its own; {outer.Name} says where it is.");
        }
    }
}
