using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>Somebody types the name of another disk than the one meant.</summary>
internal sealed class WrongDisk : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("wrong-disk", "another disk is named");

    public override bool Strikes(Act act, SimHouse house, Plan plan) => Other(act, house) is not null;

    public override void Before(SimHouse house, Act act, Plan plan) => house.WrongDisk = Other(act, house);

    /// <summary>The disk it would hurt most to wipe in its place: in a pool with the most in it, else one that is kept, else any.</summary>
    private static string? Other(Act act, SimHouse house)
    {
        if (act.Wipes.Count == 0 || house.HostIf(act.On) is not { } host)
        {
            return null;
        }

        return host
            .Pools.Values.OrderByDescending(p => p.Used)
            .SelectMany(p => p.Disks)
            .Concat(host.Kept)
            .Concat(host.Disks)
            .FirstOrDefault(d => !act.Wipes.Contains(d));
    }

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan)
    {
        var (other, host) = (Other(act, house)!, house.HostIf(act.On)!);
        return host.Pools.Values.FirstOrDefault(p => p.Disks.Contains(other)) is { } pool
            ? ($"{other} is wiped, which is in {pool.Name}: {pool.Used.ToDecimalString()} lie in it.", 1_000 + pool.Used.Bytes / 1e9)
            : (
                $"{other} is wiped{(host.Kept.Contains(other) ? ", and what was on it is gone" : "")}.",
                host.Kept.Contains(other) ? 1_000 : 10
            );
    }
}
