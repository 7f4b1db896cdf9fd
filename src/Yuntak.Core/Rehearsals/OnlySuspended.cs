using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>The guest is put to sleep in place of being shut down.</summary>
internal sealed class OnlySuspended : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("only-suspended", "the guest is only suspended");

    public override bool Strikes(Act act, SimHouse house, Plan plan) => act.NeedsOff && GuestOf(act, house)?.State == GuestState.Running;

    public override void Before(SimHouse house, Act act, Plan plan) => GuestOf(act, house)!.OnlySleeps = true;

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan) =>
        ($"The change is refused or lost when {Name(act, plan)} wakes up, and what it had in memory is older than its disk.", 30);
}
