using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Runbooks;

/// <summary>Which pool that stands becomes which planned one: by name or, where a name is gone, by the disks they share.</summary>
internal static class PoolPairs
{
    /// <summary>The pairs of a host; a pool that goes has no second, one that is new no first.</summary>
    public static IReadOnlyList<(Pool? Before, Pool? After)> Of(Host? before, Host? after)
    {
        List<Pool> olds = [.. before?.Pools ?? []];
        List<Pool> news = [.. after?.Pools ?? []];
        List<(Pool?, Pool?)> pairs = [];
        foreach (var old in olds.ToList())
        {
            if (news.Find(n => n.Name == old.Name) is { } same)
            {
                Pair(old, same);
            }
        }

        // A name that is gone and one that is new, on mostly the same disks: the same pool, called otherwise or laid out anew.
        foreach (var old in olds.ToList())
        {
            var best = news.Where(n => 2 * Shared(old, n) >= old.DiskIds.Count).OrderByDescending(n => Shared(old, n)).FirstOrDefault();
            if (best is not null)
            {
                Pair(old, best);
            }
        }

        return [.. pairs, .. olds.Select(o => ((Pool?)o, (Pool?)null)), .. news.Select(n => ((Pool?)null, (Pool?)n))];

        void Pair(Pool old, Pool becomes)
        {
            pairs.Add((old, becomes));
            olds.Remove(old);
            news.Remove(becomes);
        }
    }

    /// <summary>What a pool that stands is called when it has become what is planned; its own name when it goes or nobody knows it.</summary>
    public static string? NameAfter(Plan plan, HostId host, string? pool) =>
        pool is null
            ? null
            : Of(plan.AsBuilt.Host(host), plan.Draft.Host(host)).FirstOrDefault(p => p.Before?.Name == pool).After?.Name ?? pool;

    private static int Shared(Pool a, Pool b) => a.DiskIds.Count(b.DiskIds.Contains);
}
