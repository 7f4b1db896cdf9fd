using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>The page that makes the first administrator closed itself, or a stranger was first.</summary>
internal sealed class SetupTimeout : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("setup-timeout", "the set-up page has closed");

    public override bool Strikes(Act act, SimHouse house, Plan plan) => act.OpensPage;

    public override void After(SimHouse house, Act act, Plan plan)
    {
        if (GuestOf(act, house) is { } guest)
        {
            guest.SetUpClosed = true;
        }
        else
        {
            house.Host(act.On).SetUpClosed = true;
        }
    }

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan) =>
        ($"Whoever opened the page first owns {Name(act, plan)}.", 200);
}
