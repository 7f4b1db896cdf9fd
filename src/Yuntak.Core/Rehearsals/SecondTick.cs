using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>A step is ticked, and done, a second time.</summary>
internal sealed class SecondTick : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("second-tick", "the step is done twice");

    public override bool Strikes(Act act, SimHouse house, Plan plan) => act.CanBeDone;

    public override void Run(SimHouse house, Act act, Plan plan)
    {
        act.Do(house, plan);
        act.Do(house, plan);
    }

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan) =>
        ($"«{act.Text(plan).What}», once too often.", 5);
}
