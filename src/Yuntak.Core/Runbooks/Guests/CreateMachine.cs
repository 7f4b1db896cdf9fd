using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Creates a machine, switched off.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="With">Its figures.</param>
internal sealed record CreateMachine(GuestId Guest, HostId? Host, Figures With) : GuestAct(Guest, Host)
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
                new("system disk", $"{With.SystemDisk} in {Figures.PoolWords(With.SystemPool)}"),
                .. With.Bulk > ByteSize.Zero
                    ? [new StepValue("bulk data", $"{With.Bulk} in {Figures.PoolWords(With.BulkPool)}, ticked for backup")]
                    : Array.Empty<StepValue>(),
                .. With.MayShrinkTo is { } floor ? [new StepValue("may shrink to", Plan.MemoryText(floor))] : Array.Empty<StepValue>(),
                .. WireValues.Of(plan, Guest),
                new("start with the host", "not yet"),
            ],
            "It is on the host's list, off, with these figures.",
            "If the host says there is no virtualisation, switch it on in the firmware first.",
            "Delete the machine; nothing is on it yet."
        );
}
