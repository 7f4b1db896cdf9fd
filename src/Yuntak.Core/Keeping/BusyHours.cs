using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Schedules;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Keeping;

/// <summary>The hours in which a guest is used most.</summary>
internal static class BusyHours
{
    private const double Busy = 0.7;

    /// <summary>A copy that takes no longer than this is not noticed, as long as the guest runs on.</summary>
    private const double Unnoticed = 15;

    /// <summary>Whether a guest is busy in an hour: at least 70 % of what it takes at its busiest, beside what it takes at rest. One that is the same all day has none (common practice).</summary>
    public static bool Is(Sizing guest, int hour)
    {
        var hours = Enumerable.Range(0, DayShape.Hours).Select(guest.CoresAt).ToList();
        var (least, most) = (hours.Min(), hours.Max());
        return most > least && guest.CoresAt(hour) - least >= Busy * (most - least);
    }

    /// <summary>The guests of a job that are copied in their busy hours for longer than a quarter of an hour, or are away meanwhile, with the hour, when nothing else runs.</summary>
    public static IEnumerable<(Guest Guest, int Hour)> Of(HouseKeeping keeping, JobSums job)
    {
        foreach (var time in job.Times.Times)
        {
            var minutes = time.ToTimeSpan().TotalMinutes;
            foreach (var segments in job.Segments.GroupBy(s => s.Part.Guest))
            {
                var takes = segments.Sum(s => s.After(job.EveryDays).Bytes / new NightPiece(1, s.Over, job.Most).Alone / 60);
                var (from, to) = (minutes, minutes + takes);
                minutes = to;
                if (
                    (takes <= Unnoticed && job.Job.Mode != CopyMode.Stop)
                    || segments.Key is not { } id
                    || keeping.Lab.Guest(id) is not { } guest
                    || keeping.Sums.Guest(id) is not { IsThrowAway: false } sizing
                )
                {
                    continue;
                }

                for (var hour = (int)(from / 60); hour * 60 < to && hour < (from / 60) + DayShape.Hours; hour++)
                {
                    if (Is(sizing, hour % DayShape.Hours))
                    {
                        yield return (guest, hour % DayShape.Hours);
                        break;
                    }
                }
            }
        }
    }

    /// <summary>The time of a job, by whole hours, at which none of its guests is busy; the nearest to now.</summary>
    internal static CopyTimes? Quiet(HouseKeeping keeping, JobSums job)
    {
        if (job.Times.Times.Count != 1)
        {
            return null;
        }

        var now = NightTimes.SinceNoon(job.Times.Times[0]);
        return Enumerable
            .Range(0, DayShape.Hours)
            .OrderBy(h => Math.Abs((h * 60) - now))
            .Select(h => NightTimes.At(job.Times, NightTimes.AfterNoon(h * 60)))
            .FirstOrDefault(times => !Of(keeping, job.At(times)).Any());
    }
}
