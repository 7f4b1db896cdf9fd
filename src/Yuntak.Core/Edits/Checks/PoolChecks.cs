using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Edits;

/// <summary>What is wrong with a pool beside its host, whatever door it came through.</summary>
internal static class PoolChecks
{
    /// <summary>Every problem, the first of them the one a form shows; none for a sound pool.</summary>
    /// <param name="host">The host it is in.</param>
    /// <param name="pool">The pool.</param>
    /// <param name="except">The pool it was before, which does not count among the others.</param>
    /// <param name="missing">Disks that are known to be gone from the host and may be named all the same.</param>
    public static IEnumerable<Problem> Problems(Host host, Pool pool, Pool? except = null, IReadOnlyCollection<string>? missing = null)
    {
        if (pool.Name != except?.Name && host.Pools.Any(p => p != except && p.Name == pool.Name))
        {
            yield return new Problem("name", $"{host.Name} already has a pool called {pool.Name}.");
        }

        // A disk that went missing stays part of the pool it was in.
        var unknown = pool.DiskIds.FirstOrDefault(d =>
            host.Disks.All(have => have.Id != d) && except?.DiskIds.Contains(d) != true && missing?.Contains(d) != true
        );
        if (unknown is not null)
        {
            yield return new Problem("disks", $"{host.Name} has no disk «{unknown}».");
        }

        if (pool.DiskIds.Distinct().Count() < pool.DiskIds.Count)
        {
            yield return new Problem("disks", $"A disk is in {pool.Name} twice.");
        }

        foreach (var problem in PoolShapes.Pool.Problems(pool).Concat(LayoutProblems(pool)))
        {
            yield return problem;
        }

        var taken = host.Pools.FirstOrDefault(p => p != except && p.DiskIds.Any(pool.DiskIds.Contains));
        if (taken is not null)
        {
            yield return new Problem("disks", $"A disk chosen for {pool.Name} already belongs to the pool {taken.Name}.");
        }
    }

    private static IEnumerable<Problem> LayoutProblems(Pool pool)
    {
        var fewest = pool.Layout.FewestDisks();
        if (pool.DiskIds.Count < fewest)
        {
            yield return new Problem(
                "disks",
                $"{pool.Layout.Words()} needs at least {Numbers.Count(fewest, "disk")}; {pool.DiskIds.Count} chosen."
            );
        }

        if (pool.Groups > 1 && pool.DiskIds.Count < pool.Groups * fewest)
        {
            yield return new Problem(
                "groups",
                $"{pool.Groups} groups of {pool.Layout.Words()} need at least {pool.Groups * fewest} disks; {pool.DiskIds.Count} chosen."
            );
        }

        if (pool.Layout.IsDedicated() && pool.Family == PoolFamily.CopyOnWrite)
        {
            yield return new Problem("family", "Parity on a disk of its own is a block array, not a copy-on-write pool.");
        }

        if (pool.Layout == PoolLayout.Single && pool.DiskIds.Count > 1)
        {
            yield return new Problem("disks", $"A single-disk pool takes one disk; {pool.DiskIds.Count} chosen.");
        }
    }
}
