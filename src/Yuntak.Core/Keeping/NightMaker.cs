using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>Lists what runs in a night, and lets it run.</summary>
internal static class NightMaker
{
    private static readonly TimeOnly Noon = new(12, 0);

    // A month's scrub begins in the small hours of a Sunday; when exactly is each host's own matter.
    private static readonly TimeOnly ScrubAt = new(1, 0);
    private const int Week = 7;

    /// <summary>The night that begins on a day.</summary>
    public static Night Of(HouseKeeping keeping, DateOnly day)
    {
        var clock = keeping.Clock;
        var (from, to) = (clock.Seconds(day.ToDateTime(Noon)), clock.Seconds(day.AddDays(1).ToDateTime(Noon)));
        var wakes = keeping.Wakes;
        var runs = keeping.Run(Works(keeping, day), from);
        return new Night(
            day,
            from,
            to,
            // A house that wakes after noon wakes on the same day.
            clock.Seconds((wakes < Noon ? day.AddDays(1) : day).ToDateTime(wakes)),
            [.. runs.OrderBy(r => r.Starts)]
        );
    }

    /// <summary>When something begins in the night of a day, in seconds.</summary>
    public static IEnumerable<double> Starts(HouseKeeping keeping, CopyTimes times, DateOnly day)
    {
        foreach (var time in times.Times)
        {
            var on = time < Noon ? day.AddDays(1) : day;
            if (times.Days.Count == 0 || times.Days.Contains(on.DayOfWeek))
            {
                yield return keeping.Clock.Seconds(on.ToDateTime(time));
            }
        }
    }

    private static List<NightWork> Works(HouseKeeping keeping, DateOnly day)
    {
        List<NightWork> works = [];
        foreach (var job in keeping.Jobs.Where(j => j.Segments.Count > 0))
        {
            foreach (var start in Starts(keeping, job.Times, day))
            {
                works.Add(new NightWork(NightKind.Copying, job.Job.Name, start, job.Pieces));
                var copied = works.Count - 1;
                if (job.Keep is not null && job.Store is { Store.ThinsAt: null, Store: var thinned })
                {
                    works.Add(Timed(NightKind.Thinning, thinned.Name, start, KeepingRules.ThinMinutes, job.Store) with { After = copied });
                }

                if (job.Store is { Store: { ChecksNew: true, ChecksAt: null, Place: null } } store)
                {
                    works.Add(Reading(store, start, job.Each) with { After = copied });
                }
            }
        }

        foreach (var store in keeping.Stores)
        {
            OfStore(keeping, store, day, works);
        }

        foreach (var onward in keeping.Onward.Where(o => o.From is not null && o.To is not null))
        {
            works.AddRange(
                Starts(keeping, onward.Times, day)
                    .Select(start => new NightWork(
                        NightKind.Onward,
                        onward.Onward.Key,
                        start,
                        [new(onward.Each.Bytes, onward.Over, onward.Most)]
                    ))
            );
        }

        works.AddRange(Scrubs(keeping, day));
        return works;
    }

    private static void OfStore(HouseKeeping keeping, StoreSums store, DateOnly day, List<NightWork> works)
    {
        if (store.Store.ThinsAt is { } thins)
        {
            works.AddRange(
                Starts(keeping, CopyTimes.Parse(thins), day)
                    .Select(s => Timed(NightKind.Thinning, store.Store.Name, s, KeepingRules.ThinMinutes, store))
            );
        }

        if (store.Store.TidiesAt is { } tidies)
        {
            var minutes = keeping.Room(store).Used.Bytes / 1e12 * KeepingRules.TidyHoursPerTerabyte * 60;
            works.AddRange(
                Starts(keeping, CopyTimes.Parse(tidies), day)
                    .Select(s => Timed(NightKind.Tidying, store.Store.Name, s, Math.Max(KeepingRules.ThinMinutes, minutes), store))
            );
        }

        // What is elsewhere is read back by whoever is there, and takes nothing of this night.
        if (store.Store is { ChecksAt: { } at, Place: null })
        {
            var times = CopyTimes.Parse(at);
            var days = times.EveryDays;
            var all = store.Store.ChecksDays is { } every ? keeping.Room(store).Used * Math.Min(1, days / every) : ByteSize.Zero;
            var fresh = store.Store.ChecksNew
                ? keeping.Into[store.Store.Name].Aggregate(ByteSize.Zero, (sum, a) => sum + a.Between(times))
                : ByteSize.Zero;
            works.AddRange(Starts(keeping, times, day).Where(_ => all + fresh > ByteSize.Zero).Select(s => Reading(store, s, all + fresh)));
        }
    }

    /// <summary>What takes a time that nobody reckons in bytes: it has the disks for itself in the picture, and takes nothing from others.</summary>
    private static NightWork Timed(NightKind kind, string name, double start, double minutes, StoreSums store) =>
        new(kind, name, start, [new(minutes * 60, [.. store.Own.Take(1)], 1)]);

    private static NightWork Reading(StoreSums store, double start, ByteSize bytes) =>
        new(
            NightKind.Checking,
            store.Store.Name,
            start,
            [new(bytes.Bytes * (1 / store.Reduction), [.. store.Own.Where(u => u.Line.Kind == NightLineKind.Disk)], store.MostOut)]
        );

    /// <summary>Pools that are read through: where it is planned every month, on the Sunday that is due, as much of each disk as is in use.</summary>
    private static IEnumerable<NightWork> Scrubs(HouseKeeping keeping, DateOnly day) =>
        from host in keeping.Sums.Hosts
        from pool in host.Pools
        let every = pool.Pool.ScrubDays ?? 0
        where every > 0 && pool.Groups.Any(g => g.Survives > 0)
        let night = day.AddDays(1)
        let weeks = Math.Max(1, (every + Week - 1) / Week)
        where every < Week || (night.DayOfWeek == DayOfWeek.Sunday && night.DayNumber / Week % weeks == 0)
        let line = Keeping.Lines.Disk([keeping.Lab], host.Host, pool.Pool.Name)
        select new NightWork(
            NightKind.Scrub,
            $"{pool.Pool.Name} on {host.Host.Name}",
            keeping.Clock.Seconds(night.ToDateTime(ScrubAt)),
            [new(pool.Disks.Max(d => d.Size.Bytes) * Math.Min(1, pool.Share.Value), [new NightUse(line)], line.Rate * DiskSpec.ScrubShare)]
        );
}
