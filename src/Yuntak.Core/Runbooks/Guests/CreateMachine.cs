using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

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
                .. With.Bulk > ByteSize.Zero
                    ? [new StepValue("bulk data", $"{With.Bulk} in {GuestFigures.PoolWords(With.BulkPool)}, ticked for backup")]
                    : Array.Empty<StepValue>(),
                .. With.MayShrinkTo is { } floor ? [new StepValue("may shrink to", Plan.MemoryText(floor))] : Array.Empty<StepValue>(),
                .. WireValues.Of(plan, Guest),
                new("start with the host", "not yet"),
            ],
            "It is on the host's list, off, with these figures.",
            "No room? Look what fills the pool before you delete anything. No virtualisation? Switch it on in the firmware first.",
            "Delete the machine; nothing is on it yet."
        );

    internal override bool Writes => true;

    internal override void Affect(SimHouse house, Plan plan) => house.Create(GuestNeeds.Of(plan.Sums, Guest));
}
