using Yuntak.Core.Bench;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>Where a rehearsal begins.</summary>
internal static class Beginning
{
    /// <summary>The hosts as they are now: what stands, with what is only known of it by now, and with the ticked steps of work that is not through.</summary>
    public static SimHouse Of(Runbook runbook)
    {
        var plan = runbook.Plan;
        var house = HouseMaker.Of(Sums.Of(Known.Adopt(plan.AsBuilt, plan.Draft)));
        foreach (var step in runbook.Steps.Where(s => s.Done && plan.AsBuilt.Ticks.Contains(s.Id)))
        {
            // What was ticked for a plan that has changed since may be refused; what is missing shows at the steps that are left.
            step.Act.DoQuietly(house, plan);
        }

        return house;
    }
}
