using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>The night is over in the morning.</summary>
internal sealed class AfterWaking : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.after-waking",
            Severity.Mind,
            Station.Keeping,
            Says: "What runs at night is done when the house wakes.",
            Because: "Past it copies take the disks and the line from people.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        Dictionary<(NightKind, string), (double Late, DateOnly Day)> late = [];
        for (var day = 0; day < 7; day++)
        {
            var night = keeping.NightOf(keeping.On.AddDays(day));
            foreach (var run in night.Late.Where(r => r.Work.Kind != NightKind.Scrub))
            {
                var key = (run.Work.Kind, run.Work.Name);
                late[key] =
                    late.TryGetValue(key, out var known) && known.Late >= run.Ends - night.Wakes
                        ? known
                        : (run.Ends - night.Wakes, night.Day);
            }
        }

        return from run in late
            let what = $"{KeepingWords.Kinds.Display(run.Key.Item1)} {run.Key.Item2}"
            select Info.On(
                Subject.Of(lab.Lab),
                $"{char.ToUpperInvariant(what[0])}{what[1..]} is not done when the house wakes",
                $"In the night of {run.Value.Day:yyyy-MM-dd} it runs {new Duration(run.Value.Late / 60).Exactly()} past {lab.Lab.Settings.Wakes}.{Whole(keeping, run.Key.Item1, run.Key.Item2)}",
                () => KeepingFixes.Spread(keeping, run.Key.Item1, run.Key.Item2)
            );
    }

    /// <summary>Why a job takes so long that copies everything each time, and what it would be otherwise; else nothing.</summary>
    private static string Whole(HouseKeeping keeping, NightKind kind, string name) =>
        kind == NightKind.Copying && keeping.Jobs.FirstOrDefault(j => j.Job.Name == name) is { } job && job.Changed < job.Each
            ? $" Each time it copies all of {job.Each.ToDecimalString()}, as {job.Job.Store} keeps nothing once; what changed would be {job.Changed.ToDecimalString()}."
            : "";
}
