using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit.Rules;

/// <summary>A pool that misses disks, for the rules that tell how bad that is.</summary>
/// <param name="Host">The host.</param>
/// <param name="Pool">The pool.</param>
/// <param name="Survives">How many more disks may fail; negative when it is lost.</param>
/// <param name="Words">How many are missing and what that leaves, in words.</param>
internal sealed record MissingDisks(HostAssessment Host, PoolBudget Pool, int Survives, string Words)
{
    /// <summary>Every pool of a lab that misses disks.</summary>
    public static IEnumerable<MissingDisks> In(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        let all = pool.Pool.DiskIds.Count
        let missing = all - pool.Disks.Count
        where missing > 0
        select new MissingDisks(
            host,
            pool,
            pool.Pool.Survives() - missing,
            $"{missing} of its {Numbers.Count(all, "disk")} {(missing == 1 ? "is" : "are")} not in the host: {pool.Pool.AfterLosing(missing)}."
        );
}
