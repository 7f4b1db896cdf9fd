using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>What comes into a store by one job: by the job itself, or onward from another store.</summary>
/// <param name="Job">The job.</param>
/// <param name="Times">When a new copy of it comes.</param>
/// <param name="Keep">What is kept of it there; null for everything.</param>
/// <param name="School">How the rule counts.</param>
/// <param name="Once">Whether what is the same in several copies is kept once: in this store, or in one before it, since an onward copy carries on what is there as it is there.</param>
internal sealed record Arrival(JobSums Job, CopyTimes Times, RetentionRule? Keep, RetentionSchool School, bool Once)
{
    /// <summary>Everything that comes into every store, by its name. What was carried on can be carried on once more; what comes by two ways is the same copy, and lies there once.</summary>
    public static ILookup<string, Arrival> Of(IReadOnlyList<JobSums> jobs, IReadOnlyList<OnwardCopy> onward, IReadOnlyList<Store> stores)
    {
        var once = stores.Where(s => s.Deduplicates).Select(s => s.Name).ToHashSet(StringComparer.Ordinal);
        List<(string Store, Arrival Arrival)> all =
        [
            .. jobs.Select(j => (j.Job.Store, new Arrival(j, j.Times, j.Keep, j.Job.School, once.Contains(j.Job.Store)))),
        ];
        HashSet<(string, JobSums)> there = [.. all.Select(a => (a.Store, a.Arrival.Job))];
        var ways = onward.Select(o => (Onward: o, Times: CopyTimes.Parse(o.Times))).ToLookup(o => o.Onward.From);
        // The list grows while it is walked, nearest stores first; a job gets to a store once, so that a circle ends.
        for (var n = 0; n < all.Count; n++)
        {
            var (store, arrival) = all[n];
            foreach (var (way, times) in ways[store].Where(w => there.Add((w.Onward.To, arrival.Job))))
            {
                all.Add((way.To, arrival.By(way, times, once.Contains(way.To))));
            }
        }

        return all.ToLookup(a => a.Store, a => a.Arrival);
    }

    /// <summary>Whether every copy of a segment lies in this store as one of all of it.</summary>
    public bool IsWhole(CopySegment segment) => !Once && CopySegment.IsWhole(segment.Part);

    /// <summary>What goes on from here at other times: what came since, or the newest of whole copies.</summary>
    /// <param name="times">When it goes on.</param>
    public ByteSize Between(CopyTimes times)
    {
        var newer = Math.Min(1, Times.PerWeek / (double)times.PerWeek);
        var all = Job.Times.PerWeek / (double)times.PerWeek;
        return Job.Segments.Aggregate(
            ByteSize.Zero,
            (sum, s) => sum + (IsWhole(s) ? s.Size * newer : ByteSize.Min(s.Size, s.Changed(Job.EveryDays) * all))
        );
    }

    /// <summary>The same, carried on: no more often than it goes on, and no more often than there is something new.</summary>
    private Arrival By(OnwardCopy onward, CopyTimes times, bool once) =>
        new(
            Job,
            times.PerWeek < Times.PerWeek ? times : Times,
            onward.Keep is { } own ? RetentionRule.Parse(own) : Keep,
            onward.Keep is null ? School : onward.School,
            Once || once
        );
}
