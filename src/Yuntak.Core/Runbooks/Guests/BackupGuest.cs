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
                + plan.CopyTime(plan.Standing.Guest(Guest).SystemDisk, (Host, place.SystemPool), plan.CopiedTo(Guest))
                + plan.CopyTime(plan.Standing.Guest(Guest).Bulk, (Host, place.BulkPool), plan.CopiedTo(Guest))
            : new(5);

    /// <summary>Where there is one younger than a day nothing is copied at all.</summary>
    internal override (double Least, double Most) Spread => (0, 1.4);

    internal override ActText Text(Plan plan) =>
        new(
            $"Take a backup of {plan.AsBuilt.Guest(Guest)?.Name ?? plan.NameOf(Guest)}, or make sure there is one younger than a day",
            [.. Known(plan)],
            "It is there, complete, and on another host.",
            "Do not go on without it.",
            "None needed."
        );

    /// <summary>What is known of copies that are there already.</summary>
    private IEnumerable<StepValue> Known(Plan plan)
    {
        if (CopiesBefore.JobThatStands(plan, Guest) is { } job)
        {
            yield return new(
                "copied by",
                $"{job.Name}, {Schedules.CopyTimes.Parse(job.Times).Words()}, into {job.Store}: what it copied less than a day ago is young enough"
            );
        }

        if (plan.Draft.Copies.Where(c => c.Guest == Guest).MaxBy(c => c.At, StringComparer.Ordinal) is { } newest)
        {
            yield return new(
                "newest known",
                $"of {newest.At.Replace('T', ' ')} in {newest.Store}{(newest.Checked is { } on ? $", read back on {on:yyyy-MM-dd}" : ", not read back")}"
            );
        }

        if (plan.Draft.Drills.Where(d => d is { Kind: DrillKind.Guest, Worked: true } && d.Guest == Guest).MaxBy(d => d.On) is { } drill)
        {
            yield return new("brought back in a drill", $"on {drill.On:yyyy-MM-dd}");
        }
    }

    internal override bool Copies => true;

    internal override void Affect(SimHouse house, Plan plan) => house.Guest(Guest).Backup = house.Guest(Guest).Size;

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), Whole()];
}
