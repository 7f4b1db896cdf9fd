using System.Globalization;
using System.Runtime.CompilerServices;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>All that is worked out about the copies of a house.</summary>
public sealed class HouseKeeping
{
    private static readonly ConditionalWeakTable<Sums, HouseKeeping> Known = [];

    private readonly Once<IReadOnlyList<GuestKeeping>> guests;
    private readonly Once<Dictionary<string, StoreRoom>> rooms;
    private readonly Once<ILookup<KeepVolume, JobSums>> jobsOf;
    private readonly Once<ILookup<GuestId, JobPart>> reasons;
    private readonly Dictionary<DateOnly, Night> nights = [];
    private readonly Dictionary<string, (double Noon, IReadOnlyList<NightRun> Runs)> alike = new(StringComparer.Ordinal);
    private readonly HashSet<GuestId> keepers;
    private readonly ILookup<GuestId, KeepVolume> volumesOf;

    private HouseKeeping(Sums sums, DateOnly on)
    {
        (Sums, On) = (sums, on);
        Clock = new HouseClock(Lab.Settings.TimeZone);
        Volumes = [.. KeepVolumes.Of(sums)];
        Stores = [.. Lab.Stores.Select(s => new StoreSums(sums, s))];
        keepers = Stores.Select(s => s.Guest?.Id).OfType<GuestId>().ToHashSet();
        volumesOf = Volumes.Where(v => v.Part is not null).ToLookup(v => v.Guest!.Id);
        Jobs = [.. Lab.Jobs.Select(j => new JobSums(sums, j, Store(j.Store), Volumes, volumesOf))];
        Into = Arrival.Of(Jobs, Lab.Onward, Lab.Stores);
        Onward = [.. Lab.Onward.Select(o => new OnwardSums(o, Store(o.From), Store(o.To), [.. Into[o.From]]))];
        rooms = new(() => Stores.ToDictionary(s => s.Store.Name, s => new StoreRoom(this, s), StringComparer.Ordinal));
        jobsOf = new(() =>
            Jobs.SelectMany(j =>
                    j.Segments.SelectMany(s => s.Volume is { } whole ? [whole] : s.Covers).Distinct().Select(v => (Volume: v, Job: j))
                )
                .ToLookup(p => p.Volume, p => p.Job)
        );
        reasons = new(() =>
            Lab.Jobs.SelectMany(j => j.Takes).Where(p => p.Why.Length > 0 && p.Guest is not null).ToLookup(p => p.Guest!.Value)
        );
        guests = new(() => [.. GuestKeeper.Of(this)]);
    }

    /// <summary>The sums it rests on.</summary>
    public Sums Sums { get; }

    /// <summary>The lab.</summary>
    public Lab Lab => Sums.Lab;

    /// <summary>The day it is reckoned on.</summary>
    public DateOnly On { get; }

    /// <summary>The clock on the wall.</summary>
    public HouseClock Clock { get; }

    /// <summary>When the house wakes, by the clock on the wall.</summary>
    public TimeOnly Wakes => TimeOnly.Parse(Lab.Settings.Wakes, CultureInfo.InvariantCulture);

    /// <summary>What the house would lose.</summary>
    public IReadOnlyList<KeepVolume> Volumes { get; }

    /// <summary>The stores, in the lab's order.</summary>
    public IReadOnlyList<StoreSums> Stores { get; }

    /// <summary>The jobs, in the lab's order.</summary>
    public IReadOnlyList<JobSums> Jobs { get; }

    /// <summary>The onward copies, in the lab's order.</summary>
    public IReadOnlyList<OnwardSums> Onward { get; }

    /// <summary>What comes into each store, by its name: by jobs, and onward.</summary>
    internal ILookup<string, Arrival> Into { get; }

    /// <summary>How well each guest is kept that has something to lose, in the lab's order.</summary>
    public IReadOnlyList<GuestKeeping> Guests => guests.Value;

    /// <summary>The copies of a house on a day; worked out once as long as the same day is asked about.</summary>
    /// <param name="sums">The sums it rests on.</param>
    /// <param name="on">The day; the one it is when left out or, for who has no clock, the newest the lab knows of.</param>
    public static HouseKeeping Of(Sums sums, DateOnly? on = null)
    {
        sums = sums.Root;
        var day = Within(on ?? sums.Today ?? Newest(sums.Lab));
        if (Known.TryGetValue(sums, out var known) && known.On == day)
        {
            return known;
        }

        var keeping = new HouseKeeping(sums, day);
        Known.AddOrUpdate(sums, keeping);
        return keeping;
    }

    /// <summary>The store of that name.</summary>
    public StoreSums? Store(string name) => Stores.FirstOrDefault(s => s.Store.Name == name);

    /// <summary>How full a store gets.</summary>
    public StoreRoom Room(StoreSums store) => rooms.Value[store.Store.Name];

    /// <summary>A night, from noon to noon.</summary>
    /// <param name="day">The day it begins on.</param>
    public Night NightOf(DateOnly day)
    {
        lock (nights)
        {
            if (!nights.TryGetValue(day, out var night))
            {
                if (nights.Count >= MostNights)
                {
                    nights.Clear();
                }

                nights[day] = night = NightMaker.Of(this, day);
            }

            return night;
        }
    }

    /// <summary>What began on the days before and still runs when the night of a day begins, as it goes when nothing of this night is in its way. Looked for as far back as the longest copy takes, a week at most.</summary>
    public IEnumerable<NightRun> StillRunning(DateOnly day)
    {
        var from = NightOf(day).From;
        var longest = Jobs.Select(j => j.EachTime)
            .Concat(Onward.Select(o => o.EachTime))
            .Select(t => t.Minutes)
            .Where(double.IsFinite)
            .DefaultIfEmpty(0)
            .Max();
        var days = (int)Math.Clamp(Math.Ceiling(longest / (24 * 60)), 1, MostDaysBack);
        return Enumerable
            .Range(1, days)
            .Reverse()
            .Select(n => day.AddDays(-n))
            .SelectMany(d => NightOf(d).Runs)
            .Where(r => double.IsFinite(r.Ends) && r.Starts < from && r.Ends > from);
    }

    /// <summary>Lets the work of a night run. Nights in which the same begins at the same times are alike, and run once.</summary>
    internal IReadOnlyList<NightRun> Run(IReadOnlyList<NightWork> works, double noon)
    {
        var pattern = string.Join('|', works.Select(w => FormattableString.Invariant($"{w.Kind} {w.Name} {w.Start - noon} {w.After}")));
        if (!alike.TryGetValue(pattern, out var known))
        {
            alike[pattern] = known = (noon, NightFlow.Run(works));
        }

        var later = noon - known.Noon;
        return later == 0 ? known.Runs : [.. known.Runs.Zip(works, (run, work) => run.Moved(work, later))];
    }

    /// <summary>Whether something is the place where copies lie, and so is in no job.</summary>
    public bool IsStore(KeepVolume volume) => volume is { Part: VolumePart.Bulk, Guest: { } guest } && KeepsCopies(guest);

    /// <summary>Whether losing something is nothing lost: a store, or a guest that is there to be broken.</summary>
    public bool MayBeLost(KeepVolume volume) => IsStore(volume) || (volume.Part is not null && Sums.Guest(volume.Guest!.Id).IsThrowAway);

    /// <summary>
    /// Whether something is the system of a guest that keeps copies. It is set up anew from its settings, since a copy of it in its own store is gone with it; common practice.
    /// </summary>
    public bool IsSetUpAnew(KeepVolume volume) => volume is { Part: VolumePart.System, Guest: { } guest } && KeepsCopies(guest);

    /// <summary>Whether a guest keeps the copies of others: a store is said to be its own, or it is a backup server.</summary>
    private bool KeepsCopies(Guest guest) => keepers.Contains(guest.Id) || Sums.Guest(guest.Id).Follows(ProfileBook.BackupServer);

    /// <summary>The jobs that copy something: itself, or as files by an archive or an agent.</summary>
    public IEnumerable<JobSums> JobsOf(KeepVolume volume) => jobsOf.Value[volume];

    /// <summary>Those of them that copy it as a whole.</summary>
    public IEnumerable<JobSums> WholeJobsOf(KeepVolume volume) => JobsOf(volume).Where(j => j.Segments.Any(s => s.Volume == volume));

    /// <summary>Why a volume is not ticked, as somebody said; null when nobody did.</summary>
    public string? WhyNot(KeepVolume volume) =>
        volume.Part is { } part
            ? reasons.Value[volume.Guest!.Id].Where(p => p.Without.Contains(part)).Select(p => p.Why).FirstOrDefault()
            : null;

    /// <summary>What is in no job, though it would be missed: neither a store nor there to be broken, and nobody said why.</summary>
    public IEnumerable<KeepVolume> InNoJob => Volumes.Where(v => !MayBeLost(v) && !IsSetUpAnew(v) && WhyNot(v) is null && !JobsOf(v).Any());

    /// <summary>What more than one job reads as a whole. An archive beside it is another sort of copy.</summary>
    public IEnumerable<KeepVolume> Twice => Volumes.Where(v => WholeJobsOf(v).Skip(1).Any());

    /// <summary>How long it takes to have the whole house back, one guest after another in order of importance; null while something cannot come back.</summary>
    public Duration? HouseRestore =>
        Guests.Count == 0 || Guests.Any(g => g.Restore is null)
            ? null
            : Guests.Aggregate(new Duration(0), (sum, g) => sum + g.Restore!.Value)
                + new Duration(-60 * KeepingRules.CarryHours * CarriedAgain);

    /// <summary>How often a disk that is fetched already would be fetched once more.</summary>
    private int CarriedAgain =>
        Guests.Where(g => g is { Measured: false, From.Store.Carried: true }).CountBy(g => g.From!).Sum(g => g.Value - 1);

    /// <summary>The first day that is reckoned on: a year before it can still be counted over.</summary>
    public static readonly DateOnly FirstDay = CopyTimes.FirstDay.AddYears(2);

    /// <summary>The last day that is reckoned on: what follows for a year can still be counted over.</summary>
    public static readonly DateOnly LastDay = CopyTimes.LastDay.AddYears(-2);

    private const int MostNights = 40;
    private const int MostDaysBack = 7;

    private static DateOnly Within(DateOnly day) =>
        day < FirstDay ? FirstDay
        : day > LastDay ? LastDay
        : day;

    /// <summary>The newest day a lab knows of, for who has no clock.</summary>
    private static DateOnly Newest(Lab lab) => Newests.GetValue(lab, l => new StrongBox<DateOnly>(NewestOf(l))).Value;

    // Beside the lab: thousands of copies have a day, and each step of a runbook asks for it.
    private static readonly ConditionalWeakTable<Lab, StrongBox<DateOnly>> Newests = [];

    private static DateOnly NewestOf(Lab lab) =>
        lab.Hosts.Select(h => h.ReadOn)
            .Concat(lab.Drills.Where(d => d.Worked is not null).Select(d => (DateOnly?)d.On))
            .Concat(lab.Copies.Select(c => Moments.Read(c.At)).OfType<DateTime>().Select(at => (DateOnly?)DateOnly.FromDateTime(at)))
            .Concat(lab.Stores.Select(s => s.KeyTried))
            .Max()
        ?? new DateOnly(2026, 1, 1);
}
