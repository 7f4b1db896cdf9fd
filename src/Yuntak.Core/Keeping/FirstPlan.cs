using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>The plan for a house that has none yet: one store, one job with all that would be missed.</summary>
public static class FirstPlan
{
    private static readonly CopyTimes Nightly = CopyTimes.Parse("22:30");

    // A disk that is carried is there when somebody plugs it in: once a week is what people keep up.
    private static readonly CopyTimes Weekly = CopyTimes.Parse("sun 20:00");

    // One whole copy, and what changes of it in the half year that copies are kept for: half a percent a day is nearly as much again.
    private const double Beside = 2.2;

    /// <summary>The store it would begin with: one that is planned, what a backup guest keeps, or the roomiest pool of a host that holds none of what is copied, else of any other pool outside the host of all of it; where there is none, a disk that is carried; null where no disk holds so much.</summary>
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
            // In the host of all that is copied a store would go with it.
            .Where(p => missed.TrueForAll(v => v.At != (p.Host.Id, p.Budget.Pool.Name)) && !missed.TrueForAll(v => v.At.Host == p.Host.Id))
            .OrderBy(p => missed.Exists(v => v.At.Host == p.Host.Id))
            .ThenByDescending(p => p.Budget.Spare)
            .ToList();
        return pools.Count == 0
            ? Carried(keeping, missed)
            : new Store(
                "copies",
                Host: pools[0].Host.Id,
                Pool: pools[0].Budget.Pool.Name,
                ChecksNew: true,
                ChecksDays: KeepingRules.CheckDays,
                ChecksAt: "sun 03:00"
            );
    }

    private static Store? Carried(HouseKeeping keeping, List<KeepVolume> missed)
    {
        var host = missed.GroupBy(v => v.At.Host).MaxBy(g => g.Sum(v => v.Size.Bytes))?.Key;
        return
            keeping.Lab.Host(host) is not null
            && SoldDisks.Holding(missed.Aggregate(ByteSize.Zero, (sum, v) => sum + v.Size) * Beside) is { } size
            ? new Store(
                "carried disk",
                Host: host,
                Carried: true,
                Deduplicates: true,
                Room: size,
                ChecksNew: true,
                ChecksDays: KeepingRules.CheckDays
            )
            : null;
    }

    /// <summary>What it is, in words: «Plan a nightly copy into strongroom».</summary>
    /// <param name="store">The store it begins with.</param>
    public static string Words(Store store) =>
        store.Carried
            ? $"Plan a weekly copy onto {(store.Room is { } room ? $"a disk of {room.ToDecimalString()}" : store.Name)} that is carried"
            : $"Plan a nightly copy into {store.Name}";

    /// <summary>The edit that plans it.</summary>
    /// <param name="keeping">The copies of a house.</param>
    /// <param name="store">The store it begins with.</param>
    public static Edit Edit(HouseKeeping keeping, Store store) =>
        lab =>
        {
            var with = lab.Stores.Any(s => s.Name == store.Name) ? lab : KeepingEdits.Store(store)(lab).Lab;
            var missed = keeping.Volumes.Where(v => !keeping.MayBeLost(v) && v.Guest?.Id != store.Guest).ToList();
            var (name, times, keep, silent) = store.Carried
                ? ("weekly", Weekly, "weekly 4, monthly 6", 9)
                : ("nightly", Nightly, "daily 7, weekly 4, monthly 6", 3);
            var job = new CopyJob(
                name,
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
                Mode: missed.Exists(v => v.Guest is { } guest && KeepingRules.WithDatabase.Any(keeping.Sums.Guest(guest.Id).Follows))
                    ? CopyMode.Dump
                    : CopyMode.Snapshot,
                Keep: keep,
                SilentDays: silent
            );
            return new Changed(
                KeepingEdits.Job(job)(with).Lab,
                $"a {name} copy of {Numbers.Count(job.Takes.Count, "thing")} into {store.Name} is planned"
            );
        };
}
