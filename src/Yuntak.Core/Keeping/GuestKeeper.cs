using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>Works out how well each guest is kept.</summary>
internal static class GuestKeeper
{
    /// <summary>Every guest with something to lose.</summary>
    public static IEnumerable<GuestKeeping> Of(HouseKeeping keeping)
    {
        // Which jobs take a volume is looked up, not searched for, so that 500 guests with 40 jobs are quick.
        var jobs = keeping
            .Jobs.SelectMany(j => j.Segments.Where(s => s.Volume is not null).Select(s => (s.Volume, Job: j)))
            .ToLookup(s => s.Volume!, s => s.Job);
        var volumes = keeping.Volumes.Where(v => v.Guest is not null && !keeping.MayBeLost(v)).ToLookup(v => v.Guest!.Id);
        foreach (var guest in keeping.Lab.Guests)
        {
            var own = volumes[guest.Id].Where(v => v.Folder is not null || jobs.Contains(v) || keeping.WhyNot(v) is null).ToList();
            if (own.Count > 0)
            {
                yield return One(keeping, guest, own, jobs);
            }
        }
    }

    private static GuestKeeping One(HouseKeeping keeping, Guest guest, List<KeepVolume> own, ILookup<KeepVolume, JobSums> jobs)
    {
        // By each store how long it is, at worst, until something new is in it.
        Dictionary<string, Duration> worst = new(StringComparer.Ordinal);
        // What a backup guest is made of does not come back from its own store.
        foreach (var store in keeping.Stores.Where(s => s.Guest?.Id != guest.Id))
        {
            var each = own.Select(v =>
                    jobs[v]
                        .Where(j => j.Job.Store == store.Store.Name)
                        .Select(j => (Duration?)(Duration.FromHours(j.Times.LongestGapHours) + j.EachTime))
                        .Min()
                )
                .ToList();
            if (each.TrueForAll(w => w is not null))
            {
                worst[store.Store.Name] = each.Max()!.Value;
            }
        }

        var direct = worst.Values.Select(w => (Duration?)w).Min();
        // Onward copies carry on what is whole in the near store; what was carried on can be carried on once more.
        for (var more = true; more; )
        {
            more = false;
            foreach (var onward in keeping.Onward.Where(o => o.From is not null && o.To is { } to && to.Guest?.Id != guest.Id))
            {
                more |=
                    worst.TryGetValue(onward.Onward.From, out var near)
                    && worst.TryAdd(onward.Onward.To, near + Duration.FromHours(onward.Times.LongestGapHours) + onward.EachTime);
            }
        }

        List<StoreSums> stores = [.. keeping.Stores.Where(s => worst.ContainsKey(s.Store.Name))];
        var drill = keeping
            .Lab.Drills.Where(d => d is { Kind: DrillKind.Guest, Worked: true, Minutes: not null } && d.Guest == guest.Id)
            .MaxBy(d => d.On);
        var fetches = stores
            .Where(s => s.IsThere)
            .Select(s => (Store: s, Time: Fetch(keeping, own, s)))
            .OrderBy(f => f.Time.Minutes)
            .ToList();
        return new GuestKeeping(
            guest,
            own,
            stores,
            [.. own.Select(v => MediumOf(keeping.Lab, v)).Concat(stores.Select(s => s.Medium)).Distinct()],
            direct ?? worst.Values.Select(w => (Duration?)w).Min(),
            fetches.Count == 0 ? null
                : drill is not null ? new Duration(drill.Minutes!.Value)
                : fetches[0].Time + new Duration(KeepingRules.StartMinutes + KeepingRules.CheckMinutes),
            fetches.Count == 0 ? null : fetches[0].Store,
            fetches.Count > 0 && drill is not null
        );
    }

    /// <summary>How long it takes to bring volumes back from a store, one after another, to where they lie.</summary>
    private static Duration Fetch(HouseKeeping keeping, IEnumerable<KeepVolume> volumes, StoreSums store) =>
        volumes.Aggregate(
            new Duration(store.Store.Carried ? KeepingRules.CarryHours * 60 : 0),
            (sum, v) =>
                sum
                + Duration.Of(
                    v.Size,
                    new NightPiece(
                        1,
                        Lines.Join(store.End(v.At.Host, into: false), Lines.End([keeping.Lab], v.At, store.HostId, into: true)),
                        store.MostOut
                    ).Alone
                )
        );

    private static string MediumOf(Lab lab, KeepVolume volume) =>
        lab.Host(volume.At.Host) is { } host
        && host.PoolNamed(volume.At.Pool) is { } pool
        && host.DisksOf(pool).ToList() is { Count: > 0 } disks
            ? CopyWords.Mediums.Display(disks.TrueForAll(d => d.IsFlash) ? StoreMedium.Flash : StoreMedium.Spinning)
            : CopyWords.Mediums.Display(StoreMedium.Spinning);
}
