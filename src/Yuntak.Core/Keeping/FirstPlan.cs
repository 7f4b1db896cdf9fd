using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>The plan for a house that has none yet: one store, one nightly job with all that would be missed.</summary>
public static class FirstPlan
{
    private const string Nightly = "nightly";

    /// <summary>The store it would begin with: one that is planned, what a backup guest keeps, or the roomiest pool of a host that holds none of what is copied, else of any other pool; null where there is no such place.</summary>
    public static Store? Store(HouseKeeping keeping)
    {
        if (keeping.Stores.FirstOrDefault(s => s.IsThere) is { } planned)
        {
            return planned.Store;
        }

        if (
            keeping.Sums.Guests.FirstOrDefault(s => s.Follows(ProfileBook.BackupServer) && keeping.Sums.HostOf(s.Guest) is not null) is
            { } server
        )
        {
            return new Store(
                server.Guest.Name,
                server.Guest.Id,
                Deduplicates: true,
                ChecksNew: true,
                ChecksDays: KeepingRules.CheckDays,
                ChecksAt: "sun 03:00"
            );
        }

        var missed = keeping.Volumes.Where(v => !keeping.MayBeLost(v)).ToList();
        var pools = keeping
            .Sums.Hosts.SelectMany(h => h.Pools.Where(p => p.Pool.Tier is null && !p.OnBootDisk).Select(p => (h.Host, Budget: p)))
            .Where(p => missed.TrueForAll(v => v.At != (p.Host.Id, p.Budget.Pool.Name)))
            .OrderBy(p => missed.Exists(v => v.At.Host == p.Host.Id))
            .ThenByDescending(p => p.Budget.Spare)
            .ToList();
        return pools.Count == 0
            ? null
            : new Store(
                "copies",
                Host: pools[0].Host.Id,
                Pool: pools[0].Budget.Pool.Name,
                ChecksNew: true,
                ChecksDays: KeepingRules.CheckDays,
                ChecksAt: "sun 03:00"
            );
    }

    /// <summary>The edit that plans it.</summary>
    /// <param name="keeping">The copies of a house.</param>
    /// <param name="store">The store it begins with.</param>
    public static Edit Edit(HouseKeeping keeping, Store store) =>
        lab =>
        {
            var with = lab.Stores.Any(s => s.Name == store.Name) ? lab : KeepingEdits.Store(store)(lab).Lab;
            var missed = keeping.Volumes.Where(v => !keeping.MayBeLost(v) && v.Guest?.Id != store.Guest).ToList();
            var times = new Schedules.CopyTimes([], [new TimeOnly(22, 30)]);
            var job = new CopyJob(
                Nightly,
                store.Name,
                times.ToString(),
                [
                    .. missed.Where(v => v.Part is not null).Select(v => v.Guest!.Id).Distinct().Select(id => new JobPart(id)),
                    .. missed.Where(v => v.Folder is not null).Select(v => new JobPart(Folder: v.Folder!.Name)),
                    .. store.Guest is { } keeper
                        ? [new JobPart(keeper, Without: [VolumePart.System, VolumePart.Bulk], Why: "set up anew from its own steps")]
                        : Array.Empty<JobPart>(),
                    .. lab.Hosts.Select(h => new JobPart(Host: h.Id)),
                ],
                Keep: "daily 7, weekly 4, monthly 6",
                SilentDays: 3
            );
            return new Changed(
                KeepingEdits.Job(job)(with).Lab,
                $"a nightly copy of {Numbers.Count(job.Takes.Count, "thing")} into {store.Name} is planned"
            );
        };
}
