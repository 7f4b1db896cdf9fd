using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>Works out how well each guest is kept.</summary>
internal sealed class GuestKeeper
{
    private readonly HouseKeeping keeping;
    private readonly Dictionary<(StoreSums, (HostId?, string?)), double> rates = [];
    private readonly Dictionary<(HostId?, string?), string> mediums = [];
    private readonly Dictionary<StoreSums, string> storeMediums = [];

    private GuestKeeper(HouseKeeping keeping) => this.keeping = keeping;

    /// <summary>Every guest with something to lose.</summary>
    public static IEnumerable<GuestKeeping> Of(HouseKeeping keeping) => new GuestKeeper(keeping).All();

    private IEnumerable<GuestKeeping> All()
    {
        var volumes = keeping.Volumes.Where(v => v.Guest is not null && !keeping.MayBeLost(v)).ToLookup(v => v.Guest!.Id);
        foreach (var guest in keeping.Lab.Guests)
        {
            var own = volumes[guest.Id].Where(v => v.Folder is not null || keeping.JobsOf(v).Any() || keeping.WhyNot(v) is null).ToList();
            if (own.Count > 0)
            {
                yield return One(guest, own);
            }
        }
    }

    private GuestKeeping One(Guest guest, List<KeepVolume> own)
    {
        // By each store how long it is, at worst, until something new is in it.
        Dictionary<string, Duration> worst = new(StringComparer.Ordinal);
        HashSet<string> some = new(StringComparer.Ordinal);
        // What a backup guest is made of does not come back from its own store.
        foreach (var store in keeping.Stores.Where(s => s.Guest?.Id != guest.Id))
        {
            var each = own.Select(v => keeping.JobsOf(v).Where(j => j.Job.Store == store.Store.Name).Select(j => (Duration?)j.Loses).Min())
                .ToList();
            if (each.TrueForAll(w => w is not null))
            {
                worst[store.Store.Name] = each.Max()!.Value;
            }

            if (each.Exists(w => w is not null))
            {
                some.Add(store.Store.Name);
            }
        }

        var direct = worst.Values.Select(w => (Duration?)w).Min();
        // Onward copies carry on what is whole in the near store; what was carried on can be carried on once more, and the soonest way counts.
        for (var more = true; more; )
        {
            more = false;
            foreach (var onward in keeping.Onward.Where(o => o.To is { } to && to.Guest?.Id != guest.Id))
            {
                more |= some.Contains(onward.Onward.From) && some.Add(onward.Onward.To);
                if (
                    worst.TryGetValue(onward.Onward.From, out var near)
                    && near + Duration.FromHours(onward.Times.LongestGapHours) + onward.EachTime is var far
                    && (!worst.TryGetValue(onward.Onward.To, out var known) || far < known)
                )
                {
                    worst[onward.Onward.To] = far;
                    more = true;
                }
            }
        }

        List<StoreSums> stores = [.. keeping.Stores.Where(s => worst.ContainsKey(s.Store.Name))];
        var drill = keeping.Worked().Where(d => d is { Kind: DrillKind.Guest, Minutes: not null } && d.Guest == guest.Id).MaxBy(d => d.On);
        var fetches = stores.Where(s => s.IsThere).Select(s => (Store: s, Time: Fetch(own, s))).OrderBy(f => f.Time.Minutes).ToList();
        var anew = fetches.Count == 0 && own.TrueForAll(keeping.IsSetUpAnew);
        return new GuestKeeping(
            guest,
            own,
            stores,
            [.. keeping.Stores.Where(s => some.Contains(s.Store.Name) && !worst.ContainsKey(s.Store.Name))],
            own.Select(v => stores.Select(Medium).Prepend(MediumOf(v.At)).Distinct().ToList()).MinBy(kinds => kinds.Count)!,
            direct ?? worst.Values.Select(w => (Duration?)w).Min(),
            anew ? new Duration(KeepingRules.AnewMinutes(guest.Kind) + KeepingRules.StartMinutes + KeepingRules.CheckMinutes)
                : fetches.Count == 0 ? null
                : drill is not null ? new Duration(drill.Minutes!.Value)
                : fetches[0].Time + new Duration(KeepingRules.StartMinutes + KeepingRules.CheckMinutes),
            fetches.Count == 0 ? null : fetches[0].Store,
            fetches.Count > 0 && drill is not null,
            [.. fetches.Select(f => (f.Store, worst[f.Store.Store.Name], f.Time))],
            anew
        );
    }

    /// <summary>
    /// How long it takes to bring volumes back from a store, one after another, to where they lie. What only an archive or an agent has is built anew, and its files
    /// are laid in.
    /// </summary>
    private Duration Fetch(List<KeepVolume> volumes, StoreSums store)
    {
        var files = volumes
            .Where(v => !keeping.WholeJobsOf(v).Any())
            .SelectMany(v => keeping.JobsOf(v).SelectMany(j => j.Segments).Where(s => s.Covers.Contains(v)))
            .Distinct()
            .ToList();
        var begins =
            (store.Store.Carried ? KeepingRules.CarryHours * 60 : 0)
            + (files.Count > 0 ? KeepingRules.AnewMinutes(volumes[0].Guest!.Kind) : 0);
        return volumes
            .Where(v => keeping.WholeJobsOf(v).Any())
            .Select(v => (v.Size, v.At))
            .Concat(files.Select(f => (f.Size, volumes[0].At)))
            .Aggregate(new Duration(begins), (sum, v) => sum + Duration.Of(v.Size, Rate(store, v.At)));
    }

    /// <summary>Bytes a second from a store into a pool; many guests lie in few pools.</summary>
    private double Rate(StoreSums store, (HostId? Host, string? Pool) at)
    {
        if (!rates.TryGetValue((store, at), out var rate))
        {
            rates[(store, at)] = rate = new NightPiece(
                1,
                Lines.Join(store.End(at.Host, into: false), Lines.End([keeping.Lab], at, store.HostId, into: true)),
                store.MostOut
            ).Alone;
        }

        return rate;
    }

    private string Medium(StoreSums store)
    {
        if (!storeMediums.TryGetValue(store, out var medium))
        {
            storeMediums[store] = medium = store.Medium;
        }

        return medium;
    }

    private string MediumOf((HostId? Host, string? Pool) at)
    {
        if (!mediums.TryGetValue(at, out var medium))
        {
            mediums[at] = medium =
                keeping.Lab.Host(at.Host) is { } host
                && host.PoolNamed(at.Pool) is { } pool
                && host.DisksOf(pool).ToList() is { Count: > 0 } disks
                    ? CopyWords.Mediums.Display(disks.TrueForAll(d => d.IsFlash) ? StoreMedium.Flash : StoreMedium.Spinning)
                    : CopyWords.Mediums.Display(StoreMedium.Spinning);
        }

        return medium;
    }
}
