using Yuntak.Core.Bench;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Tests.Rehearsals;

/// <summary>Tries every order of the pieces of work of a runbook against simulated hosts, whatever the runbook itself thinks of their order.</summary>
internal static class EveryOrder
{
    /// <summary>Whether some order reaches the draft with no refusal and nothing lost.</summary>
    public static bool Reaches(Runbook runbook)
    {
        var plan = runbook.Plan;
        var should = HouseMaker.Of(Sums.Of(plan.Draft));
        return Reaches(Beginning.Of(runbook), [.. runbook.Sections.Where(s => s.Open > 0)]);

        bool Reaches(SimHouse house, List<RunbookSection> left) =>
            left.Count == 0
                ? house.Lost.IsEmpty && HouseWords.Differences(house, should).Count == 0
                : left.Any(next => Done(house.Copy(), next) is { } then && Reaches(then, [.. left.Where(s => s != next)]));

        SimHouse? Done(SimHouse house, RunbookSection section)
        {
            foreach (var step in section.Steps.Where(s => !s.Done))
            {
                try
                {
                    step.Act.Do(house, plan);
                }
                catch (HostRefuses)
                {
                    return null;
                }

                if (Rehearser.FailedProof(step.Act, house, plan) is not null)
                {
                    return null;
                }
            }

            return house;
        }
    }
}
