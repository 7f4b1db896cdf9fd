using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>A first idea of pools for a host that has just been read, so that there is somewhere to put a guest's disk.</summary>
public static class PoolProposal
{
    /// <summary>
    /// What was found joined or mounted stays as it is. The boot disk stays with the host. Flash that holds nothing becomes a pool for guest disks, spinning disks one
    /// for bulk data, by equal kind. Where the boot disk is all there is, guests share it (and a finding says so). How many failures to survive is what
    /// <see cref="ParityAdvice"/> advises for such disks.
    /// </summary>
    public static ValueList<Pool> For(Host host)
    {
        List<Pool> pools = [.. Found(host)];
        var free = host
            .Disks.Where(d =>
                !host.StartsFrom(d)
                && !d.Removable
                && d.Kind is not (DiskKind.Usb or DiskKind.Card)
                && d.MountedAt.Count == 0
                && pools.TrueForAll(p => !p.DiskIds.Contains(d.Id))
            )
            .ToList();
        Add(pools, "flash", [.. free.Where(d => d.IsFlash)]);
        Add(pools, "bulk", [.. free.Where(d => !d.IsFlash)]);
        if (pools.Count == 0 && !host.HasOtherDisks && host.BootDisks.FirstOrDefault() is { } boot)
        {
            pools.Add(Named(pools, new Pool("local", PoolLayout.Single, PoolFamily.BlockArray, [boot.Id])));
        }

        return [.. pools];
    }

    /// <summary>The pools that stand by what a host's own tools found joined or mounted.</summary>
    public static ValueList<Pool> Found(Host host)
    {
        List<Pool> pools = [];
        foreach (var found in host.Hardware.Found)
        {
            ValueList<string> disks = [.. found.DiskIds.Where(id => host.Disks.Any(d => d.Id == id))];
            if (disks.Count > 0 && disks.All(id => pools.TrueForAll(p => !p.DiskIds.Contains(id))))
            {
                pools.Add(
                    Named(
                        pools,
                        new Pool(
                            found.Name,
                            found.Layout,
                            found.Family,
                            disks,
                            found.Used ?? default,
                            KeptAsFound: OthersReadIt(host, disks),
                            MountedAt: found.MountedAt,
                            Size: found.Size
                        )
                    )
                );
            }
        }

        return [.. pools];
    }

    /// <summary>Whether a disk holds a format that desktops of other makes read: it is kept as it was found.</summary>
    private static bool OthersReadIt(Host host, ValueList<string> disks) =>
        disks.Count == 1
        && host.Disks.First(d => d.Id == disks[0]) is { Holds.Count: > 0 } disk
        && disk.Holds.All(h => h is "ntfs" or "exfat" or "vfat" or "hfsplus" or "udf");

    /// <summary>The pool under a name that is free.</summary>
    private static Pool Named(List<Pool> pools, Pool pool)
    {
        var name = pool.Name;
        for (var n = 2; pools.Exists(p => p.Name == name); n++)
        {
            name = $"{pool.Name}-{n}";
        }

        return pool with
        {
            Name = name,
        };
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
        pools.Add(
            Named(
                pools,
                new Pool(name, layout, disks.Count == 1 ? PoolFamily.BlockArray : PoolFamily.CopyOnWrite, [.. disks.Select(d => d.Id)])
            )
        );
    }
}
