using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Rehearsals;

/// <summary>Something else has filled the pools of the host meanwhile.</summary>
internal sealed class DiskFull : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("disk-full", "the pool is full");

    public override bool Strikes(Act act, SimHouse house, Plan plan) => act.Writes && house.HostIf(act.On)?.Pools.Count > 0;

    public override void Before(SimHouse house, Act act, Plan plan)
    {
        foreach (var pool in house.Host(act.On).Pools.Values)
        {
            pool.Used = ByteSize.Max(pool.Used, pool.Room);
        }
    }

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan)
    {
        var host = house.HostIf(act.On)!;
        var keepers = house
            .Guests.Where(g => g.Host == host.Id && g.System is not null && g.State == GuestState.Running)
            .Select(g => g.Figures.Name)
            .ToList();
        return keepers.Count == 0
            ? ($"{Name(act, plan)} is half written.", 5)
            : (
                $"{Name(act, plan)} is half written, and {Numbers.Count(keepers.Count, "guest")} on {host.Name} can write nothing more: {string.Join(", ", keepers)}.",
                10 * keepers.Count
            );
    }
}
