using System.Text.Json.Nodes;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Runbooks;

/// <summary>Creates a machine, switched off.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="With">Its figures.</param>
internal sealed record CreateMachine(GuestId Guest, HostId? Host, GuestFigures With) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "create-machine";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, .. With.Values];

    internal override Duration Takes(Plan plan) => new(3);

    internal override ActText Text(Plan plan) =>
        new(
            "Create the machine, switched off",
            [
                new("name", With.Name),
                new("virtual processors", With.Vcpu.ToString()),
                new("memory", Plan.MemoryText(With.Memory)),
                new("system disk", $"{With.SystemDisk} in {GuestFigures.PoolWords(With.SystemPool)}"),
                .. GuestVolumes.Bulk(plan.Draft, plan.Sums.Guest(Guest)) is { Place: VolumePlace.OwnDisk } bulk
                    ? [new StepValue("bulk data", $"{bulk.Size} in {GuestFigures.PoolWords(bulk.Pool)}, {Ticked(plan)}")]
                    : Array.Empty<StepValue>(),
                .. With.MayShrinkTo is { } floor ? [new StepValue("may shrink to", Plan.MemoryText(floor))] : Array.Empty<StepValue>(),
                .. WireValues.Of(plan, Guest),
                new("start with the host", "not yet"),
            ],
            "It is on the host's list, off, with these figures.",
            "No room? Look what fills the pool before you delete anything. No virtualisation? Switch it on in the firmware first.",
            "Delete the machine; nothing is on it yet."
        );

    /// <summary>Whether backups of the whole machine take its bulk volume: as the jobs say, never where it holds the copies of others.</summary>
    private string Ticked(Plan plan)
    {
        var house = HouseKeeping.Of(plan.Sums);
        var volume = house.Volumes.FirstOrDefault(v => v.Guest?.Id == Guest && v.Part == VolumePart.Bulk);
        return volume is not null && house.IsStore(volume)
                ? "not ticked for backup: it holds the copies of others, and a copy of itself would fill it"
            : volume is not null && house.WhyNot(volume) is { Length: > 0 } why ? $"not ticked for backup: {why}"
            : volume is not null && house.WholeJobsOf(volume).FirstOrDefault() is { } job ? $"ticked for backup: {job.Job.Name} takes it"
            : "not ticked for backup: no job takes it";
    }

    internal override bool Writes => true;

    internal override void Affect(SimHouse house, Plan plan) => house.Create(GuestNeeds.Of(plan.Sums, Guest));
}
