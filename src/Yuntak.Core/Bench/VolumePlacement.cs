using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Bench;

/// <summary>Chooses the pools for a guest's volumes: guest disks on flash, bulk data on the roomy pool, the boot disk last (common practice).</summary>
internal static class VolumePlacement
{
    /// <summary>Where a guest's volumes go on a host. Pools of the names it uses already are kept when the host has them.</summary>
    public static Placement Choose(Lab lab, Guest guest, Host host)
    {
        // One that still runs inside another guest leaves it first: that one needs less then.
        var left = lab.Guest(guest.Id)?.RunsIn is null ? lab : lab.WithGuest(guest.Id, g => g with { RunsIn = null });
        return Choose(
            Sizing.Of(left, guest),
            host,
            [.. left.GuestsOn(host.Id).Where(g => g.Id != guest.Id).Select(g => Sizing.Of(left, g))],
            lab.AllFolders
        );
    }

    /// <summary>The same, where the guest and the others on the host are sized already.</summary>
    internal static Placement Choose(Sizing sizing, Host host, IReadOnlyList<Sizing> others, ValueList<SharedFolder> folders)
    {
        var before = sizing.Guest.Placement;
        // What stands in front of an array holds nothing for good, unless it is there for guests.
        var pools = host
            .Pools.Where(p => p.Tier is null or TierKind.Guests)
            .Select(p => new PoolBudget(host, p, others, folders: folders))
            .ToList();
        var system = Best(pools, sizing.SystemDisk + sizing.Scratch.Value, preferFlash: true, before?.SystemPool);
        if (sizing.Bulk == ByteSize.Zero)
        {
            return new Placement(host.Id, system?.Pool.Name);
        }

        var bulk = Best(pools, sizing.Bulk, preferFlash: false, before?.BulkPool);
        return new Placement(host.Id, system?.Pool.Name, bulk?.Pool.Name);
    }

    private static PoolBudget? Best(List<PoolBudget> pools, ByteSize size, bool preferFlash, string? nameBefore) =>
        pools
            .OrderByDescending(p => p.Spare >= size)
            .ThenByDescending(p => p.Pool.Name == nameBefore)
            .ThenBy(p => p.OnBootDisk)
            .ThenByDescending(p => p.Disks.Count > 0 && p.IsFlash == preferFlash)
            .ThenByDescending(p => p.Spare)
            .FirstOrDefault();
}
