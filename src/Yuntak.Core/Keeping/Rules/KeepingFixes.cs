using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>What the rules about copies have in common.</summary>
internal static class KeepingFixes
{
    /// <summary>What a finding about a volume is about.</summary>
    public static Subject SubjectOf(Sums lab, KeepVolume volume) =>
        volume.Part is not null && volume.Guest is { } guest ? Subject.Of(guest)
        : lab.Lab.Host(volume.At.Host) is { } host ? Subject.Of(host)
        : Subject.Of(lab.Lab);

    /// <summary>What a finding about a store is about.</summary>
    public static Subject SubjectOf(Sums lab, StoreSums store) =>
        store.Guest is { } guest ? Subject.Of(guest)
        : store is { Host: { } host, Budget: { } budget } ? Subject.Of(host, budget.Pool)
        : Subject.Of(lab.Lab);

    /// <summary>Puts something into a job: the one its guest is in already, else the one with most in it.</summary>
    public static IEnumerable<Fix> PutIn(HouseKeeping keeping, KeepVolume volume)
    {
        if (KeepingSteps.JobFor(keeping, volume.Guest?.Id) is not { } job)
        {
            yield break;
        }

        yield return new Fix(
            $"Put {(volume.Part is null ? "it" : volume.Words)} into {job.Job.Name}",
            volume.Part is { } part
                ? KeepingEdits.Tick(job.Job.Name, volume.Guest!.Id, part)
                : KeepingEdits.Take(job.Job.Name, new JobPart(Folder: volume.Folder!.Name))
        );
    }

    /// <summary>Says that a system disk is left out because its guest is set up anew; nothing else of the guest is left out by that.</summary>
    public static IEnumerable<Fix> LeaveOut(HouseKeeping keeping, KeepVolume volume)
    {
        var others = keeping.Volumes.Where(v => v.Part == VolumePart.Bulk && v.Guest!.Id == volume.Guest!.Id && !keeping.IsStore(v));
        var job = keeping
            .Jobs.OrderByDescending(j => j.Job.Takes.Any(p => p.Guest == volume.Guest!.Id))
            .ThenByDescending(j => j.Job.Takes.Count)
            .First();
        var taken = job.Job.Takes.FirstOrDefault(p => p.Guest == volume.Guest!.Id && p.Kind == PartKind.Whole);
        if (taken is null && others.Any())
        {
            yield break;
        }

        var part = (taken ?? new JobPart(volume.Guest!.Id, Without: [VolumePart.Bulk])) with { Why = "set up anew from its own steps" };
        yield return new Fix(
            $"Leave it out: {volume.Guest!.Name} is set up anew",
            KeepingEdits.Take(
                job.Job.Name,
                part with
                {
                    Without = part.Without.Contains(VolumePart.System) ? part.Without : part.Without.With(VolumePart.System),
                }
            )
        );
    }

    /// <summary>The edit that takes something out of a job.</summary>
    public static Edit Out(HouseKeeping keeping, string job, KeepVolume volume, string why = "") =>
        volume.Part is { } part
            ? KeepingEdits.Untick(
                job,
                volume.Guest!.Id,
                part,
                [.. keeping.Volumes.Where(v => v.Part is not null && v.Guest!.Id == volume.Guest.Id).Select(v => v.Part!.Value)],
                why
            )
            : KeepingEdits.Leave(job, new JobPart(Folder: volume.Folder!.Name).Key);

    /// <summary>Whether something has a copy that does not lie in the pool of a store.</summary>
    public static bool IsElsewhereToo(HouseKeeping keeping, KeepVolume volume, StoreSums store) =>
        keeping.Stores.Any(s =>
            (s.Host != store.Host || s.Pool != store.Pool) && keeping.Into[s.Store.Name].Any(a => keeping.JobsOf(volume).Contains(a.Job))
        );

    /// <summary>Lets jobs into a store go into another that lies in another pool, where there is one.</summary>
    public static IEnumerable<Fix> ToAnother(HouseKeeping keeping, StoreSums store, bool otherHost = false) =>
        keeping
            .Stores.Where(s =>
                s.IsThere && (s.Host != store.Host || (s.Pool != store.Pool && !otherHost)) && !s.Store.IsElsewhere && !s.Store.Carried
            )
            .Take(1)
            .Select(other => new Fix(
                $"Copy into {other.Store.Name} instead",
                lab =>
                    keeping
                        .Jobs.Where(j => j.Store == store)
                        .Aggregate(
                            new Changed(lab, $"jobs copy into {other.Store.Name} instead of {store.Store.Name}"),
                            (changed, j) =>
                                changed with
                                {
                                    Lab = KeepingEdits.ChangeJob(j.Job.Name, job => job with { Store = other.Store.Name })(changed.Lab).Lab,
                                }
                        )
            ));

    /// <summary>Whether where a copy of a key lies is a machine of the lab.</summary>
    public static bool IsMachine(Lab lab, string place) =>
        lab.Hosts.Any(h => string.Equals(h.Name, place, StringComparison.OrdinalIgnoreCase))
        || lab.Guests.Any(g => string.Equals(g.Name, place, StringComparison.OrdinalIgnoreCase));

    /// <summary>Lays a copy of a store's key away from the machines.</summary>
    public static Fix Paper(StoreSums store) =>
        new(
            "Lay a copy on paper, away from the machines",
            KeepingEdits.ChangeStore(store.Store.Name, s => s with { Keys = s.Keys.With("paper, away from the machines") })
        );

    /// <summary>Plans the drill that is due.</summary>
    public static IEnumerable<Fix> Drill(HouseKeeping keeping) =>
        DrillPlan.NextGuest(keeping) is { Guest: { } id } next
            ?
            [
                new Fix(
                    $"Plan one of {keeping.Lab.Guest(id)!.Name} for next week",
                    KeepingEdits.Drill(next with { On = keeping.On.AddDays(7) })
                ),
            ]
            : [];

    /// <summary>Spreads the night, where there is a plan in which what is late is done.</summary>
    public static IEnumerable<Fix> Spread(HouseKeeping keeping, NightKind kind, string name)
    {
        if (kind is not (NightKind.Copying or NightKind.Onward))
        {
            yield break;
        }

        // Whether there is one is worked out when somebody presses it; what is longer than a night by itself is not offered.
        var wakes = keeping.Wakes;
        var takes = keeping
            .Jobs.Where(j => kind == NightKind.Copying && j.Job.Name == name)
            .Select(j => j.EachTime)
            .Concat(keeping.Onward.Where(o => kind == NightKind.Onward && o.Onward.Key == name).Select(o => o.EachTime))
            .FirstOrDefault();
        if (takes.Minutes < (wakes - NightPlanner.Evening).TotalMinutes - Spare)
        {
            yield return new Fix("Spread the night", lab => NightEdits.Take(NightPlanner.Find(keeping, NightPlanner.Evening, wakes))(lab));
        }
    }

    private const double Spare = 30;

    /// <summary>Lets a job keep as much as is asked of it.</summary>
    public static IEnumerable<Fix> KeepMore(JobSums job)
    {
        var rule = RetentionWish.Rule(job.Times, job.Job.School, job.Job.BackDays ?? 0, job.Job.DailyDays ?? 0);
        yield return new Fix($"Keep {rule}", KeepingEdits.ChangeJob(job.Job.Name, j => j with { Keep = rule.ToString() }));
    }

    /// <summary>Moves a job to where none of its guests is busy.</summary>
    public static IEnumerable<Fix> Quieter(HouseKeeping keeping, JobSums job) =>
        BusyHours.Quiet(keeping, job) is { } times
            ? [new Fix($"Begin {times.Words()}", KeepingEdits.ChangeJob(job.Job.Name, j => j with { Times = times.ToString() }))]
            : [];

    /// <summary>Plans a copy of all that would be missed: into what a backup guest keeps, the roomiest pool of another host, or onto a disk that is carried.</summary>
    public static IEnumerable<Fix> Begin(HouseKeeping keeping)
    {
        if (FirstPlan.Store(keeping) is { } store)
        {
            yield return new Fix(FirstPlan.Words(store), FirstPlan.Edit(keeping, store));
        }
    }
}
