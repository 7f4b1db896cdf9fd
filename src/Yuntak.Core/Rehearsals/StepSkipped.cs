using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>A step is ticked off without having been done.</summary>
internal sealed class StepSkipped : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("step-skipped", "the step is ticked and not done");

    public override bool Strikes(Act act, SimHouse house, Plan plan) => act.CanBeDone;

    public override void Run(SimHouse house, Act act, Plan plan) { }

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan) =>
        ($"«{act.Text(plan).What}» was never done, and what comes later counts on it.", 15);
}
