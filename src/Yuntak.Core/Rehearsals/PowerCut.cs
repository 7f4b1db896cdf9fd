using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>The host loses power in the middle of the step, and comes up again by itself.</summary>
internal sealed class PowerCut : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("power-cut", "the host loses power");

    public override bool Strikes(Act act, SimHouse house, Plan plan) => act.CanBeDone && house.HostIf(act.On) is not null;

    public override void Run(SimHouse house, Act act, Plan plan)
    {
        var host = house.Host(act.On);
        if (act is InstallGuest && GuestOf(act, house) is { } guest)
        {
            guest.HalfInstalled = true;
        }

        house.CutPower(host.Id);
        house.PowerOn(host.Id);
    }

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan)
    {
        var stay = house
            .Guests.Where(g => g.Host == act.On && g.Figures.RunsIn is null && g.State == GuestState.Running && (!g.Starts || g.Held))
            .Select(g => g.Figures.Name)
            .ToList();
        return (
            stay.Count == 0
                ? $"«{act.Text(plan).What}» is half done, and taken for done."
                : $"«{act.Text(plan).What}» is half done, and taken for done; {string.Join(", ", stay)} {(stay.Count == 1 ? "does" : "do")} not come up by {(stay.Count == 1 ? "itself" : "themselves")}.",
            20 + (5 * stay.Count)
        );
    }
}
