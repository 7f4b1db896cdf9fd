using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Rehearsals;

/// <summary>The place packages come from gives a tenth of what it gives else.</summary>
internal sealed class MirrorSlow : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("mirror-slow", "the mirror is slow");

    public override bool Strikes(Act act, SimHouse house, Plan plan) => act.FromMirror;

    public override double Slower => 10;

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan)
    {
        var minutes = act.Takes(plan).WholeMinutes;
        return ($"{Numbers.Count(minutes * 9, "minute")} more, and nothing else.", minutes / 10.0);
    }
}
