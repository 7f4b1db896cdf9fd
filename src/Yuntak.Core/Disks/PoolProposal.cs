using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>A first idea of pools for a host that has just been read, so that there is somewhere to put a guest's disk.</summary>
public static class PoolProposal
{
    /// <summary>
    /// The boot disk stays with the host. Flash becomes a pool for guest disks, spinning disks one for bulk data, by equal kind. Where the boot disk
    /// is all there is, guests share it (and a finding says so). How many failures to survive is what <see cref="ParityAdvice"/> advises for such disks.
    /// </summary>
    public static ValueList<Pool> For(IReadOnlyList<Disk> disks)
    {
        var free = disks
            .Where(d => !d.IsBoot && !d.Removable && d.Kind is not (DiskKind.Usb or DiskKind.Card) && d.MountedAt.Count == 0)
            .ToList();
        List<Pool> pools = [];
        Add(pools, "flash", [.. free.Where(d => d.IsFlash)]);
        Add(pools, "bulk", [.. free.Where(d => !d.IsFlash)]);
        if (pools.Count == 0 && disks.FirstOrDefault(d => d.IsBoot) is { } boot)
        {
            pools.Add(new Pool("local", PoolLayout.Single, PoolFamily.BlockArray, [boot.Id]));
        }

        return [.. pools];
    }

    private static void Add(List<Pool> pools, string name, List<Disk> disks)
    {
        if (disks.Count == 0)
        {
            return;
        }

        var layout =
            disks.Count == 1 ? PoolLayout.Single
            : disks.Count == 2 ? PoolLayout.Mirror
            : ParityAdvice.Wanted([.. disks.Select(DiskSpec.Of)], (disks.Max(d => d.HoursRun) ?? 0) / Duration.HoursPerYear) < 2
                ? PoolLayout.Parity1
            // Two parities over three disks keep one disk's worth, as three copies do, and copies are quicker and simpler.
            : disks.Count == 3 ? PoolLayout.Mirror
            : PoolLayout.Parity2;
        pools.Add(new Pool(name, layout, disks.Count == 1 ? PoolFamily.BlockArray : PoolFamily.CopyOnWrite, [.. disks.Select(d => d.Id)]));
    }
}
