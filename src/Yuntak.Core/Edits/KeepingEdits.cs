using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Edits;

/// <summary>Changes to stores, jobs, onward copies, drills, and to what is known of copies that are there.</summary>
public static class KeepingEdits
{
    /// <summary>Plans a store, or changes the one of a name; jobs and onward copies follow a new name.</summary>
    /// <param name="store">The store as it is to be.</param>
    /// <param name="was">The name it has; null for a new one.</param>
    public static Edit Store(Store store, string? was = null) =>
        lab =>
        {
            var named = store with { Name = Names.Checked(store.Name, "store") };
            if (was is null)
            {
                return Checked(lab with { Stores = lab.Stores.With(named) }, $"store {named.Name} planned");
            }

            Existing(lab, was);
            return Checked(
                lab with
                {
                    Stores = lab.Stores.Change(s => s.Name == was, _ => named),
                    Jobs = lab.Jobs.Change(j => j.Store == was, j => j with { Store = named.Name }),
                    Onward = lab.Onward.Change(
                        o => o.From == was || o.To == was,
                        o => o with { From = o.From == was ? named.Name : o.From, To = o.To == was ? named.Name : o.To }
                    ),
                    Copies = lab.Copies.Change(c => c.Store == was, c => c with { Store = named.Name }),
                },
                $"store {named.Name} changed"
            );
        };

    /// <summary>Changes a store.</summary>
    public static Edit ChangeStore(string name, Func<Store, Store> change) => lab => Store(change(Existing(lab, name)), name)(lab);

    /// <summary>Takes a store out, with the jobs and onward copies of it. The copies themselves stay where they are.</summary>
    public static Edit RemoveStore(string name) =>
        lab =>
        {
            Existing(lab, name);
            var jobs = lab.Jobs.Count(j => j.Store == name);
            return new Changed(
                Without(lab with { Stores = lab.Stores.Without(s => s.Name == name) }),
                $"store {name} no longer planned{(jobs > 0 ? $", with {Numbers.Count(jobs, "job")} into it" : "")}; copies stay where they are"
            );
        };

    /// <summary>Plans a job, or changes the one of a name.</summary>
    /// <param name="job">The job as it is to be.</param>
    /// <param name="was">The name it has; null for a new one.</param>
    public static Edit Job(CopyJob job, string? was = null) =>
        lab =>
        {
            var named = job with { Name = Names.Checked(job.Name, "job") };
            return Checked(
                was is null
                    ? lab with
                    {
                        Jobs = lab.Jobs.With(named),
                    }
                    : lab with
                    {
                        Jobs = lab.Jobs.Change(j => j == ExistingJob(lab, was), _ => named),
                    },
                $"job {named.Name} {(was is null ? "planned" : "changed")}"
            );
        };

    /// <summary>Changes a job.</summary>
    public static Edit ChangeJob(string name, Func<CopyJob, CopyJob> change) => lab => Job(change(ExistingJob(lab, name)), name)(lab);

    /// <summary>Notes down how fast a job really copies.</summary>
    /// <param name="name">The job.</param>
    /// <param name="rate">What was measured, in MB/s.</param>
    public static Edit Measured(string name, double rate) =>
        lab =>
            ChangeJob(name, j => j with { Rate = rate })(lab) with
            {
                Sentence = $"job {name} copies {Numbers.Short(rate)} MB/s, as measured",
            };

    /// <summary>Takes a job out; its copies stay where they are.</summary>
    public static Edit RemoveJob(string name) =>
        lab =>
        {
            var job = ExistingJob(lab, name);
            return new Changed(
                lab with
                {
                    Jobs = lab.Jobs.Without(j => j == job),
                },
                $"job {name} no longer planned; copies stay where they are"
            );
        };

    /// <summary>Puts something into a job, or changes what is taken of it.</summary>
    public static Edit Take(string job, JobPart part) => ChangeJob(job, j => j with { Takes = j.Takes.Put(part, p => p.Key == part.Key) });

    /// <summary>Ticks a volume of a guest in a job: the guest comes into it with that volume alone when it was not.</summary>
    public static Edit Tick(string job, GuestId guest, VolumePart volume) =>
        ChangeJob(
            job,
            j =>
                j.Takes.Any(p => p.Guest == guest && p.Kind == PartKind.Whole)
                    ? j with
                    {
                        Takes = j.Takes.Change(
                            p => p.Guest == guest && p.Kind == PartKind.Whole,
                            p =>
                            {
                                var without = p.Without.Without(v => v == volume);
                                return p with { Without = without, Why = without.Count == 0 ? "" : p.Why };
                            }
                        ),
                    }
                    : j with
                    {
                        Takes = j.Takes.With(
                            new JobPart(guest, Without: volume == VolumePart.System ? [VolumePart.Bulk] : [VolumePart.System])
                        ),
                    }
        );

    /// <summary>Ticks a volume of a guest no longer; the guest leaves the job when nothing of it is left.</summary>
    /// <param name="job">The job.</param>
    /// <param name="guest">The guest.</param>
    /// <param name="volume">The volume.</param>
    /// <param name="volumes">The volumes it has.</param>
    /// <param name="why">Why.</param>
    public static Edit Untick(string job, GuestId guest, VolumePart volume, IReadOnlyCollection<VolumePart> volumes, string why = "") =>
        ChangeJob(
            job,
            j =>
                j with
                {
                    Takes =
                    [
                        .. j
                            .Takes.Select(p =>
                                p.Guest == guest && p.Kind == PartKind.Whole && !p.Without.Contains(volume)
                                    ? p with
                                    {
                                        Without = p.Without.With(volume),
                                        Why = why.Length > 0 ? why : p.Why,
                                    }
                                    : p
                            )
                            .Where(p =>
                                p.Guest != guest || p.Kind != PartKind.Whole || p.Why.Length > 0 || !volumes.All(p.Without.Contains)
                            ),
                    ],
                }
        );

    /// <summary>Takes something out of a job.</summary>
    public static Edit Leave(string job, string key) => ChangeJob(job, j => j with { Takes = j.Takes.Without(p => p.Key == key) });

    /// <summary>Plans an onward copy, or changes the one between two stores.</summary>
    public static Edit Onward(OnwardCopy onward, string? was = null) =>
        lab =>
            Checked(
                was is null
                    ? lab with
                    {
                        Onward = lab.Onward.With(onward),
                    }
                    : lab with
                    {
                        Onward = lab.Onward.Change(o => o.Key == was, _ => onward),
                    },
                $"onward copy {onward.Key} {(was is null ? "planned" : "changed")}"
            );

    /// <summary>Takes an onward copy out.</summary>
    public static Edit RemoveOnward(string key) =>
        lab =>
            lab.Onward.All(o => o.Key != key)
                ? throw new Refused($"There is no onward copy «{Names.Short(key)}».")
                : new Changed(lab with { Onward = lab.Onward.Without(o => o.Key == key) }, $"onward copy {key} no longer planned");

    /// <summary>Plans a drill, or writes down how one went. One of the same thing on the same day is the same drill.</summary>
    /// <param name="drill">The drill.</param>
    /// <param name="was">What it was known by so far, where it was planned for another day; null for one that keeps its day.</param>
    public static Edit Drill(Drill drill, string? was = null) =>
        lab =>
            Checked(
                lab with
                {
                    Drills = lab.Drills.Without(d => d.Key == was && was != drill.Key).Put(drill, d => d.Key == drill.Key),
                },
                $"drill of {drill.Of(lab)} on {drill.On:yyyy-MM-dd}: {drill.Worked switch { null => "planned", true => "it came back", false => "it did not come back" }}"
            );

    /// <summary>Writes down that a drill brought back what it was to. It counts from the day it was done, whatever day it was planned for.</summary>
    /// <param name="key">What it is known by.</param>
    /// <param name="on">The day it was done; the planned one when left out.</param>
    public static Edit CameBack(string key, DateOnly? on) => Went(key, d => d with { Worked = true, On = on ?? d.On });

    /// <summary>Writes down how long a drill took that goes on.</summary>
    /// <param name="key">What it is known by.</param>
    /// <param name="minutes">How many minutes.</param>
    public static Edit Took(string key, int minutes) => Went(key, d => d with { Minutes = minutes });

    private static Edit Went(string key, Func<Drill, Drill> how) =>
        lab => lab.Drills.FirstOrDefault(d => d.Key == key) is { } drill ? Drill(how(drill), key)(lab) : new Changed(lab, "no such drill");

    /// <summary>Takes a drill out.</summary>
    public static Edit RemoveDrill(string key) =>
        lab =>
            lab.Drills.FirstOrDefault(d => d.Key == key) is not { } drill
                ? throw new Refused($"There is no drill «{Names.Short(key)}».")
                : new Changed(
                    lab with
                    {
                        Drills = lab.Drills.Without(d => d == drill),
                    },
                    $"drill of {drill.Of(lab)} on {drill.On:yyyy-MM-dd} taken out"
                );

    /// <summary>Takes a list of copies over in the place of what was known of the stores it is about.</summary>
    public static Edit TakeCopies(IReadOnlyList<KnownCopy> copies) =>
        lab =>
        {
            var stores = copies.Select(c => c.Store).ToHashSet(StringComparer.Ordinal);
            return Checked(
                lab with
                {
                    Copies = [.. lab.Copies.Where(c => !stores.Contains(c.Store)), .. copies.DistinctBy(c => c.Key)],
                },
                $"{Numbers.Count(copies.Count, "copy", "copies")} known of {string.Join(", ", stores.Order(StringComparer.Ordinal))}"
            );
        };

    /// <summary>Forgets the copies that were known of a store.</summary>
    public static Edit ForgetCopies(string store) =>
        lab => new Changed(lab with { Copies = lab.Copies.Without(c => c.Store == store) }, $"the list of copies in {store} forgotten");

    /// <summary>A lab without what names a guest, host, folder or store that is gone.</summary>
    internal static Lab Without(Lab lab)
    {
        if (lab.Stores.Count + lab.Jobs.Count + lab.Onward.Count + lab.Drills.Count + lab.Copies.Count == 0)
        {
            return lab;
        }

        bool Gone(GuestId? guest, HostId? host) => (guest is { } g && lab.Guest(g) is null) || (host is { } h && lab.Host(h) is null);
        ValueList<Store> stores = [.. lab.Stores.Where(s => !Gone(s.Guest, s.Host))];
        var named = stores.Select(s => s.Name).ToHashSet(StringComparer.Ordinal);
        var folders = lab.AllFolders.Select(f => f.Name).ToHashSet(StringComparer.Ordinal);
        bool Left(JobPart part) => !Gone(part.Guest, part.Host) && (part.Folder is not { } folder || folders.Contains(folder));
        return lab with
        {
            Stores = stores,
            Jobs =
            [
                .. lab
                    .Jobs.Where(j => named.Contains(j.Store))
                    .Select(j => j.Takes.All(Left) ? j : j with { Takes = [.. j.Takes.Where(Left)] }),
            ],
            Onward = [.. lab.Onward.Where(o => named.Contains(o.From) && named.Contains(o.To))],
            Drills = [.. lab.Drills.Where(d => !Gone(d.Guest, d.Host))],
            Copies = [.. lab.Copies.Where(c => named.Contains(c.Store) && !Gone(c.Guest, null))],
        };
    }

    /// <summary>Jobs that copy a folder under its new name.</summary>
    internal static ValueList<CopyJob> Renamed(ValueList<CopyJob> jobs, string folder, string to) =>
        folder == to
            ? jobs
            : jobs.Change(
                j => j.Takes.Any(p => p.Folder == folder),
                j => j with { Takes = j.Takes.Change(p => p.Folder == folder, p => p with { Folder = to }) }
            );

    private static Changed Checked(Lab after, string words)
    {
        Problem.Refuse(KeepingChecks.Problems(after));
        return new Changed(after, words);
    }

    private static Store Existing(Lab lab, string name) =>
        lab.Stores.FirstOrDefault(s => s.Name == name) ?? throw new Refused($"There is no store «{Names.Short(name)}».");

    private static CopyJob ExistingJob(Lab lab, string name) =>
        lab.Jobs.FirstOrDefault(j => j.Name == name) ?? throw new Refused($"There is no job «{Names.Short(name)}».");
}
