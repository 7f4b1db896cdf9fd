using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Rehearsals;

/// <summary>A device that is handed over is held by something else, or cannot be reset.</summary>
internal sealed class DeviceBusy : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("device-busy", "a device is busy");

    public override bool Strikes(Act act, SimHouse house, Plan plan) =>
        act.Starts && GuestOf(act, house) is { } guest && guest.State == GuestState.Off && guest.Devices.Any(GuestNeeds.IsAlone);

    public override void Before(SimHouse house, Act act, Plan plan)
    {
        var host = house.Host(act.On);
        host.Busy = host.Busy.Union(GuestOf(act, house)!.Devices);
    }

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan)
    {
        var others = house.Guests.Count(g => g.Host == act.On && g.State == GuestState.Running);
        return (
            $"{Name(act, plan)} stays off until {plan.NameOf(act.On)} is started anew, with {Numbers.Count(others, "guest")} on it.",
            30 + (10 * others)
        );
    }
}
