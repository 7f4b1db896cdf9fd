using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>A job is through before it begins again.</summary>
internal sealed class JobPilesUp : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(new Share(1), "of the time until it begins again");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.piles-up",
            Severity.Stop,
            Station.Keeping,
            Says: "A job takes less time than there is until it begins again.",
            Because: "Otherwise runs pile up without end, or every other one is left out and nobody sees it.",
            Source: Source.Arithmetic
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        var jobs = keeping.Jobs.Select(j =>
            (
                j.Job.Name,
                j.EachTime,
                j.Times,
                Fix: (Func<IEnumerable<Fix>>)(
                    () => Rarer(j.Times, t => j.At(t).EachTime, t => KeepingEdits.ChangeJob(j.Job.Name, x => x with { Times = t }))
                )
            )
        );
        var onward = keeping.Onward.Select(o => (Name: o.Onward.Key, o.EachTime, o.Times, Fix: (Func<IEnumerable<Fix>>)(() => [])));
        return from job in jobs.Concat(onward)
            let every = Interval(job.Times)
            where Limit.Notices(job.EachTime.Minutes / every.Minutes)
            select Info.On(
                Subject.Of(lab.Lab),
                $"{job.Name} takes longer than the time until it begins again",
                $"{job.EachTime.Exactly()} each time, every {every.Exactly()}. Let it begin less often, or copy less.",
                job.Fix
            );
    }

    private static Duration Interval(CopyTimes times) => Duration.FromHours(times.EveryDays * 24);

    /// <summary>The same once a day or once a week, whichever is the first that leaves time.</summary>
    private static IEnumerable<Fix> Rarer(CopyTimes times, Func<CopyTimes, Duration> takes, Func<string, Edit> edit)
    {
        var at = times.Times[0].ToString("HH:mm", System.Globalization.CultureInfo.InvariantCulture);
        foreach (var (text, words) in new[] { (at, $"once a day, at {at}"), ($"sun {at}", $"once a week, Sundays at {at}") })
        {
            var rarer = CopyTimes.Parse(text);
            if (rarer.EveryDays > times.EveryDays && !Limit.Notices(takes(rarer).Minutes / Interval(rarer).Minutes))
            {
                yield return new Fix($"Begin {words}", edit(text));
                yield break;
            }
        }
    }
}
