using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>Changes to when things begin in a night.</summary>
public static class NightEdits
{
    /// <summary>Takes a plan over.</summary>
    public static Edit Take(NightPlan plan) =>
        lab =>
            plan.Why is { } why
                ? throw new Refused(why)
                : new Changed(
                    plan.Moves.Aggregate(lab, (l, m) => Begin(m.Kind, m.Name, m.To)(l).Lab),
                    plan.Moves.Count == 0
                        ? "the night is well spread as it is"
                        : $"the night is spread: {string.Join(", ", plan.Moves.Take(3).Select(m => $"{m.Name} {m.To.Words()}"))}{(plan.Moves.Count > 3 ? $" and {Numbers.Count(plan.Moves.Count - 3, "more", "more")}" : "")}"
                );

    /// <summary>Lets a job or an onward copy begin at another time of the same nights.</summary>
    /// <param name="kind">Whether it is a job or an onward copy.</param>
    /// <param name="name">Its name.</param>
    /// <param name="time">The time by the clock on the wall.</param>
    public static Edit Drag(NightKind kind, string name, TimeOnly time) =>
        lab =>
        {
            var now =
                kind == NightKind.Onward
                    ? lab.Onward.FirstOrDefault(o => o.Key == name)?.Times
                    : lab.Jobs.FirstOrDefault(j => j.Name == name)?.Times;
            return now is null
                ? throw new Refused($"There is nothing called «{Names.Short(name)}» in the night.")
                : Begin(kind, name, NightTimes.At(CopyTimes.Parse(now), time))(lab);
        };

    private static Edit Begin(NightKind kind, string name, CopyTimes times) =>
        lab =>
        {
            var changed =
                kind == NightKind.Onward
                    ? KeepingEdits.Onward(lab.Onward.First(o => o.Key == name) with { Times = times.ToString() }, name)(lab)
                    : KeepingEdits.ChangeJob(name, j => j with { Times = times.ToString() })(lab);
            return changed with { Sentence = $"{name} begins {times.Words()}" };
        };
}
