using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Edits;

/// <summary>What is wrong with stores, jobs, onward copies, drills and known copies, whatever door they came through: what names something that is not there, or is there twice.</summary>
internal static class KeepingChecks
{
    /// <summary>Whether nothing of it differs between two labs.</summary>
    public static bool Same(Lab a, Lab b) =>
        a.Stores == b.Stores && a.Jobs == b.Jobs && a.Onward == b.Onward && a.Drills == b.Drills && a.Copies == b.Copies;

    /// <summary>Every problem; none for a sound lab.</summary>
    public static IEnumerable<Problem> Problems(Lab lab) =>
        WireChecks
            .Each(lab.Stores, "stores", StoreShapes.Store, s => s.Name, "store", s => StoreProblems(lab, s))
            .Concat(RunProblems(lab))
            .Concat(WireChecks.Each(lab.Jobs, "jobs", JobShapes.Job, j => j.Name, "job", j => JobProblems(lab, j)))
            .Concat(WireChecks.Each(lab.Onward, "onward", OnwardShapes.Onward, o => o.Key, "onward copy", o => OnwardProblems(lab, o)))
            .Concat(WireChecks.Each(lab.Drills, "drills", OnwardShapes.Drill, d => d.Key, "drill", d => DrillProblems(lab, d)))
            .Concat(
                WireChecks.Each(
                    lab.Copies,
                    "copies",
                    OnwardShapes.Copy,
                    c => c.Key,
                    "copy",
                    c => WireChecks.GuestThere(lab, "guest", c.Guest).Concat(StoreThere(lab, "store", c.Store))
                )
            );

    /// <summary>How often copies may begin in a day, all together: some hundred times what a busy house does, and so few that a night can be worked out in a moment.</summary>
    public const int MostRuns = 2_000;

    private static IEnumerable<Problem> RunProblems(Lab lab)
    {
        var runs = lab.Jobs.Select(j => j.Times).Concat(lab.Onward.Select(o => o.Times)).Sum(TimesADay);
        if (runs > MostRuns)
        {
            yield return new Problem(
                "jobs",
                $"Jobs and onward copies begin {Numbers.Exact(runs)} times a day together; {Numbers.Exact(MostRuns)} is the most. Let some of them begin less often."
            );
        }

        // What cannot be read is told of by its own field.
        static int TimesADay(string times)
        {
            try
            {
                return CopyTimes.Parse(times).Times.Count;
            }
            catch (Refused)
            {
                return 0;
            }
        }
    }

    private static IEnumerable<Problem> StoreProblems(Lab lab, Store store)
    {
        var named = new[] { store.Guest?.Value, store.Carried ? null : store.Host?.Value, store.Box }.Count(e => e is not null);
        if (named > 1)
        {
            yield return new Problem("", "A store is kept by one of guest, host and box: name one of them at most.");
        }
        else if (named == 0 && !store.Carried && store.Place is null)
        {
            yield return new Problem(
                "",
                "Say where the store is: a guest, a host and its pool, a box, a disk that is carried, or another place."
            );
        }

        if (store is { Host: not null, Pool: null, Carried: false })
        {
            yield return new Problem("pool", "Say in which pool of the host it lies.");
        }

        foreach (var problem in WireChecks.GuestThere(lab, "guest", store.Guest).Concat(HostThere(lab, "host", store.Host)))
        {
            yield return problem;
        }
    }

    private static IEnumerable<Problem> JobProblems(Lab lab, CopyJob job)
    {
        foreach (var problem in StoreThere(lab, "store", job.Store))
        {
            yield return problem;
        }

        var seen = new HashSet<string>(StringComparer.Ordinal);
        for (var n = 0; n < job.Takes.Count; n++)
        {
            var part = job.Takes[n];
            var own =
                new[] { part.Guest?.Value, part.Host?.Value, part.Folder }.Count(e => e is not null) != 1
                    ? [new Problem("", "A part of a job is one of guest, host and folder: name exactly one.")]
                : !seen.Add(part.Key) ? [new Problem("", "The job takes it twice; once is enough.")]
                : WireChecks
                    .GuestThere(lab, "guest", part.Guest)
                    .Concat(HostThere(lab, "host", part.Host))
                    .Concat(
                        part.Folder is { } folder && lab.AllFolders.All(f => f.Name != folder)
                            ? [new Problem("folder", WireChecks.Missing("shared folder", folder, lab.AllFolders.Select(f => f.Name)))]
                            : []
                    );
            foreach (var problem in own)
            {
                yield return problem.Below($"takes[{n}]");
            }
        }
    }

    private static IEnumerable<Problem> OnwardProblems(Lab lab, OnwardCopy onward) =>
        StoreThere(lab, "from", onward.From)
            .Concat(StoreThere(lab, "to", onward.To))
            .Concat(onward.From == onward.To ? [new Problem("to", "A store is not copied into itself.")] : []);

    private static IEnumerable<Problem> DrillProblems(Lab lab, Drill drill) =>
        WireChecks
            .GuestThere(lab, "guest", drill.Guest)
            .Concat(HostThere(lab, "host", drill.Host))
            .Concat(
                drill.Kind is DrillKind.Guest or DrillKind.File && drill.Guest is null
                    ? [new Problem("guest", "Say which guest is brought back.")]
                : drill is { Kind: DrillKind.Host, Host: null } ? [new Problem("host", "Say which host is brought back.")]
                : []
            );

    private static IEnumerable<Problem> StoreThere(Lab lab, string member, string store) =>
        lab.Stores.Any(s => s.Name == store)
            ? []
            : [new Problem(member, WireChecks.Missing("store", store, lab.Stores.Select(s => s.Name)))];

    private static IEnumerable<Problem> HostThere(Lab lab, string member, HostId? id) =>
        id is { } known && lab.Host(known) is null
            ? [new Problem(member, WireChecks.Missing("host", known.Value, lab.Hosts.Select(h => h.Name)))]
            : [];
}
