using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Rehearsals;

/// <summary>The one that exports a share does not answer.</summary>
internal sealed class ShareAway : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("share-away", "a share is away");

    public override bool Strikes(Act act, SimHouse house, Plan plan) => Shares(act, house).Any();

    public override void Before(SimHouse house, Act act, Plan plan) => house.SharesAway = house.SharesAway.Union(Shares(act, house));

    private static IEnumerable<string> Shares(Act act, SimHouse house) =>
        act is MountShares mounts ? mounts.Shares.Select(m => m.Share)
        : act.Starts && GuestOf(act, house) is { } guest ? guest.Shares
        : [];

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan) =>
        (
            $"{Name(act, plan)} starts with an empty folder in the place of {string.Join(", ", Shares(act, house))}, and writes into it: what it writes is hidden once the share is back.",
            80
        );
}
