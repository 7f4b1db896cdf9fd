using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>Work on a pool of a host.</summary>
/// <param name="On">The host as it is planned or, for one that goes, as it stands.</param>
internal abstract record PoolWork(Host On) : Work
{
    /// <inheritdoc/>
    public override HostId? Host => On.Id;

    /// <summary>What stands on a disk that is to be wiped and in no pool that is known: a stop, for nothing in it would come back.</summary>
    protected Halt? InUse(Plan plan, string what, IEnumerable<string> wiped)
    {
        if (plan.AsBuilt.Host(On.Id) is not { } stands)
        {
            return null;
        }

        var pools = stands.Pools.SelectMany(p => p.DiskIds).ToHashSet(StringComparer.Ordinal);
        // What it holds is known best by the draft, which is where a host is read again or corrected.
        Disk Known(Disk disk) => plan.Draft.Host(On.Id)?.Disks.FirstOrDefault(d => d.Id == disk.Id) ?? disk;
        var used = wiped
            .Select(id => stands.Disks.FirstOrDefault(d => d.Id == id))
            .OfType<Disk>()
            .Where(d =>
                !pools.Contains(d.Id) && (d.IsBoot || Known(d).MayBeWiped is null && (d.MountedAt.Count > 0 || Known(d).Holds.Count > 0))
            )
            .ToList();
        return used.Count == 0
            ? null
            : new Halt(
                On.Id,
                what,
                $"This would wipe what is on {string.Join("; ", used.Select(d => plan.Named(On.Id, d.Id)))}.",
                "Copy what you need, then say of the disk at its host that it may be wiped; or choose another disk. If it is there to stay, say that the pool stands."
            );
    }

    /// <summary>The disks of a pool taken into what is known of a host; those that are planned nowhere any more leave it.</summary>
    protected static Host WithDisks(Host stands, Host? planned, IEnumerable<string> ids)
    {
        var named = ids.ToHashSet(StringComparer.Ordinal);
        return stands with
        {
            Disks =
            [
                .. stands.Disks.Where(d => !named.Contains(d.Id) || planned is null || planned.Disks.Any(p => p.Id == d.Id)),
                .. (planned?.Disks ?? []).Where(d => named.Contains(d.Id) && stands.Disks.All(s => s.Id != d.Id)),
            ],
        };
    }
}
