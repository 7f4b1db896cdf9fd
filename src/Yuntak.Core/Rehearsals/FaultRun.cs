using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>One fault at one step, on hosts of its own: does the host or the step's check show it, or what comes later, or nobody?</summary>
/// <param name="plan">The plan.</param>
/// <param name="steps">All open steps.</param>
/// <param name="refused">The steps that are refused without any fault.</param>
/// <param name="halfDone">Those of them that a host refused in the middle, such as a host that came up without one of its guests.</param>
/// <param name="without">The hosts at the end without any fault.</param>
internal sealed class FaultRun(
    Plan plan,
    IReadOnlyList<(RunbookStep Step, string Number)> steps,
    IReadOnlySet<string> refused,
    IReadOnlySet<string> halfDone,
    SimHouse without
)
{
    /// <summary>What becomes of it. The hosts are changed.</summary>
    public (StepOutcome Outcome, string Message) Of(Fault fault, RunbookStep step, SimHouse house)
    {
        var act = step.Act;
        if (fault.Slower > 1)
        {
            return (StepOutcome.Harmless, $"It only takes longer. {step.IfNot}");
        }

        fault.Before(house, act, plan);
        if (act.Guards.FirstOrDefault(g => !g.Holds(house)) is { } guard)
        {
            return (StepOutcome.Caught, guard.Words);
        }

        try
        {
            fault.Run(house, act, plan);
            fault.After(house, act, plan);
        }
        catch (HostRefuses refusal)
        {
            return (StepOutcome.Caught, $"{refusal.Message} {step.IfNot}");
        }

        if (Rehearser.FailedProof(act, house, plan) is { } shown)
        {
            return (StepOutcome.Caught, $"{shown} {step.IfNot}");
        }

        return Later(step, house);
    }

    private (StepOutcome, string) Later(RunbookStep step, SimHouse house)
    {
        var at = steps.ToList().FindIndex(s => s.Step.Id == step.Id);
        foreach (var (later, number) in steps.Skip(at + 1).Where(l => !refused.Contains(l.Step.Id) || halfDone.Contains(l.Step.Id)))
        {
            try
            {
                later.Act.Do(house, plan);
            }
            catch (HostRefuses) when (halfDone.Contains(later.Id))
            {
                continue;
            }
            catch (HostRefuses refusal)
            {
                return (StepOutcome.Caught, $"At step {number}: {refusal.Message} {later.IfNot}");
            }

            if (Rehearser.FailedProof(later.Act, house, plan) is { } shown)
            {
                return (StepOutcome.Caught, $"At step {number}: {shown}");
            }
        }

        var wrong = house.Lost.Except(without.Lost).Select(l => $"Lost: {l}").Concat(HouseWords.Differences(house, without)).ToList();
        return wrong.Count == 0
            ? (StepOutcome.Harmless, "Nothing is different at the end.")
            : (StepOutcome.Missed, string.Join("; ", wrong.Take(3)) + ".");
    }
}
