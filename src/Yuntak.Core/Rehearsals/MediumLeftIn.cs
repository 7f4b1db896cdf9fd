using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>The install medium is not taken out, and stays first in the boot order.</summary>
internal sealed class MediumLeftIn : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("medium-left-in", "the install medium is left in");

    public override bool Strikes(Act act, SimHouse house, Plan plan) => act is DetachMedium or TakeMediumOut;

    public override void Run(SimHouse house, Act act, Plan plan) { }

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan) =>
        ($"At every restart of {Name(act, plan)} the installer starts again in place of its system, and one wrong key wipes it.", 60);
}
