using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Changes the figures of a guest while it is off.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="With">What they are to be.</param>
/// <param name="Changes">What changes, in words.</param>
/// <param name="Shrinks">Whether a disk is to be smaller than it is.</param>
/// <param name="Repackaged">Whether it is packaged another way.</param>
internal sealed record SetFigures(GuestId Guest, HostId? Host, GuestFigures With, ValueList<string> Changes, bool Shrinks, bool Repackaged)
    : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "set-figures";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, .. With.Values];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => [Guest];

    internal override Duration Takes(Plan plan) =>
        (Shrinks || Repackaged) && plan.Stands(Guest) is not null
            ? new Duration(15)
                + plan.CopyTime(plan.Standing.Guest(Guest).SystemDisk + plan.Standing.Guest(Guest).Bulk, default, (Host, With.SystemPool))
            : new(5);

    internal override ActText Text(Plan plan)
    {
        var grows = Grows(plan);
        return new(
            "Shut it down and change the figures",
            [
                .. Changes.Select(w => new StepValue("change", w)),
                .. plan.Stands(Guest)?.Interfaces != plan.Planned(Guest)?.Interfaces ? WireValues.Of(plan, Guest) : [],
                new("state", "off; suspended is not off"),
                .. grows
                    ?
                    [
                        new StepValue("first", "the disk, at the host: it only ever grows"),
                        new StepValue("then, inside", "growpart /dev/sda 1 && resize2fs /dev/sda1", Literal: true),
                        new StepValue("or", "its partition and file system by their own names, as lsblk shows them"),
                    ]
                    : Array.Empty<StepValue>(),
            ],
            grows ? "The host shows the new figures, and df inside shows the larger file system." : "The host shows the new figures.",
            "Refused? It is still running or only suspended.",
            grows
                ? "Set memory and processors as they were while it is off; the disk stays as large as it is now."
                : "Set the old figures again while it is off.",
            Shrinks ? "A disk grows but never shrinks: make a smaller one, bring the backup back onto it, then delete the old one."
                : Repackaged ? "It is built anew in another packaging. Keep the old one, off, until the new one has run for a week."
                : null
        );
    }

    /// <summary>Whether a disk of a machine becomes larger: its partition and file system do not follow by themselves.</summary>
    private bool Grows(Plan plan) =>
        !Repackaged
        && With.Kind == GuestKind.Machine
        && plan.Stands(Guest) is not null
        && With.SystemDisk > plan.Standing.Guest(Guest).SystemDisk;

    internal override bool NeedsOff => true;

    internal override void Affect(SimHouse house, Plan plan)
    {
        house.ShutDown(Guest);
        house.Change(GuestNeeds.Of(plan.Sums, Guest));
    }
}
