using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Whether there is a backup of what a runbook touches, as far as jobs that are set up and lists of copies tell.</summary>
public static class CopiesBefore
{
    private const int MostNamed = 6;

    // A backup is to be younger than a day; on one day of the year that has 25 hours.
    private const int ADay = 25;

    /// <summary>What is known, a line each; empty when nothing that stands is touched.</summary>
    /// <param name="runbook">The runbook.</param>
    public static IEnumerable<string> Of(Runbook runbook)
    {
        var plan = runbook.Plan;
        var touched = runbook
            .Steps.Where(s => !s.Done)
            .SelectMany(s => s.Act is GuestAct act ? s.Act.Stops.Append(act.Guest) : s.Act.Stops)
            .Distinct()
            .Select(plan.AsBuilt.Guest)
            .OfType<Guest>()
            .ToList();
        foreach (var copied in touched.GroupBy(g => JobThatStands(plan, g.Id)?.Name).OrderBy(g => g.Key is null))
        {
            if (plan.AsBuilt.Jobs.FirstOrDefault(j => j.Name == copied.Key) is not { } job)
            {
                yield return $"No job that is set up copies {Names([.. copied])}: take a backup by hand first.";
                continue;
            }

            var times = CopyTimes.Parse(job.Times);
            yield return $"{job.Name} copies {Names([.. copied])} {times.Words()}{Newest(plan, job, copied)}. {(times.LongestGapHours > ADay ? "Let it run once more first." : "Look whether the last one is there.")}";
        }
    }

    /// <summary>The job that copies a guest already, not one that is only planned.</summary>
    internal static CopyJob? JobThatStands(Plan plan, GuestId guest) =>
        plan.AsBuilt.Jobs.FirstOrDefault(j => j.Takes.Any(p => p.Guest == guest && p.Kind == PartKind.Whole && p.Without.Count == 0));

    private static string Newest(Plan plan, CopyJob job, IEnumerable<Guest> guests)
    {
        var known = guests
            .Select(g =>
                plan.Draft.Copies.Where(c => c.Guest == g.Id && c.Store == job.Store).Select(c => c.At).Max(StringComparer.Ordinal)
            )
            .ToList();
        return known.TrueForAll(at => at is null) ? ""
            : known.Contains(null) ? "; the list of its store does not have all of them"
            : $"; by the list of its store each has a copy of {known.Min(StringComparer.Ordinal)![..10]} or later";
    }

    private static string Names(List<Guest> guests) =>
        guests.Count <= MostNamed
            ? string.Join(", ", guests.Select(g => g.Name))
            : $"{string.Join(", ", guests.Take(MostNamed).Select(g => g.Name))} and {Numbers.Count(guests.Count - MostNamed, "other")}";
}
