using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>The disks a pool was made of, those that are missing included.</summary>
internal static class PoolMembers
{
    /// <summary>
    /// The disks in the pool's order. Nobody knows the size of one that is missing: it is taken to be like the smallest that is there, or like the largest where it
    /// held the parity of the others, since it cannot have been smaller.
    /// </summary>
    /// <param name="pool">The pool.</param>
    /// <param name="there">Those of its disks that are in the host.</param>
    public static IReadOnlyList<DiskSpec> Of(Pool pool, IReadOnlyList<Disk> there)
    {
        if (there.Count == pool.DiskIds.Count || there.Count == 0)
        {
            return [.. there.Select(DiskSpec.Of)];
        }

        var smallest = DiskSpec.Of(there.MinBy(d => d.Size)!);
        var largest = DiskSpec.Of(there.MaxBy(d => d.Size)!);
        var byId = there.ToLookup(d => d.Id, StringComparer.Ordinal);
        return
        [
            .. pool.DiskIds.Select(
                (id, n) =>
                    byId[id].FirstOrDefault() is { } disk ? DiskSpec.Of(disk)
                    : pool.Layout.IsDedicated() && n < pool.Layout.ParityDisks() ? largest
                    : smallest
            ),
        ];
    }

    /// <summary>Whether a pool is gone for certain, whichever of its disks are missing; what lies on the data disks of dedicated parity is not.</summary>
    public static bool IsLost(IReadOnlyList<DiskGroup> groups, int missing) =>
        missing > 0 && !groups[0].Layout.IsDedicated() && missing > groups.Sum(g => g.HasEnough ? g.Parts.Sum(p => p.Survives) : 0);
}
