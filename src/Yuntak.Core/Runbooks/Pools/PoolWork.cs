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
        bool Holds(Disk disk) => (plan.Draft.Host(On.Id)?.Disks.FirstOrDefault(d => d.Id == disk.Id) ?? disk).Holds.Count > 0;
        var used = wiped
            .Select(id => stands.Disks.FirstOrDefault(d => d.Id == id))
            .OfType<Disk>()
            .Where(d => !pools.Contains(d.Id) && (d.IsBoot || d.MountedAt.Count > 0 || Holds(d)))
            .ToList();
        return used.Count == 0
            ? null
            : new Halt(
                On.Id,
                what,
                $"This would wipe what is on {string.Join("; ", used.Select(d => plan.Named(On.Id, d.Id)))}.",
                "Copy what you need and empty the disk yourself; then read the host again, or correct at Kit what the disk holds."
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
