using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes a backup of a guest that stands, before something is done to it.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">The host it stands on.</param>
internal sealed record BackupGuest(GuestId Guest, HostId? Host) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "backup-guest";

    internal override bool Serves => true;

    internal override Duration Takes(Plan plan) =>
        plan.Stands(Guest) is { Placement: { } place }
            ? new Duration(5)
                + CopyRates.Time(plan, plan.Standing.Guest(Guest).SystemDisk, (Host, place.SystemPool), default)
                + CopyRates.Time(plan, plan.Standing.Guest(Guest).Bulk, (Host, place.BulkPool), default)
            : new(5);

    /// <summary>Where there is one younger than a day nothing is copied at all.</summary>
    internal override (double Least, double Most) Spread => (0, 1.4);

    internal override ActText Text(Plan plan) =>
        new(
            $"Take a backup of {plan.AsBuilt.Guest(Guest)?.Name ?? plan.NameOf(Guest)}, or make sure there is one younger than a day",
            [],
            "It is there, complete, and on another host.",
            "Do not go on without it.",
            "None needed."
        );

    internal override bool Copies => true;

    internal override void Affect(SimHouse house, Plan plan) => house.Guest(Guest).Backup = house.Guest(Guest).Size;

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), Whole()];
}
