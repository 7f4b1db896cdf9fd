using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Brings a backup back under another name, to see that it can be.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
internal sealed record TryRestore(GuestId Guest, HostId? Host) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "try-restore";

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override Duration Takes(Plan plan) =>
        plan.Guest(Guest) is { } guest
            ? new Duration(5)
                + plan.CopyTime(
                    plan.Sums.Lab.Guest(Guest) is null ? default : plan.Sums.Guest(Guest).SystemDisk,
                    plan.CopiedTo(Guest),
                    (Host, guest.Placement?.SystemPool)
                )
            : new(10);

    internal override ActText Text(Plan plan) =>
        new(
            "Bring the backup back under another name",
            [
                new("name", Names.Slug(plan.NameOf(Guest)) + "-try", Literal: true),
                new("network", "disconnected, so that two of it never meet"),
                new("of bulk data", "one folder is enough to see; try all of it once a year"),
            ],
            "It starts, and what you put in is there.",
            "Does not start? Then there is no backup yet: mend that first.",
            "Delete the copy."
        );

    internal override void Affect(SimHouse house, Plan plan)
    {
        var guest = house.Guest(Guest);
        if (guest.Backup is not { } backup || backup.Bytes < guest.Size.Bytes / 2)
        {
            throw new HostRefuses($"There is no whole backup of {guest.Figures.Name} to bring back.");
        }
    }
}
