using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Shuts a host down for good and unplugs it. Its disks stay as they are.</summary>
/// <param name="Host">The host.</param>
/// <param name="Disks">The stable ids of its disks.</param>
internal sealed record TakeHostAway(HostId Host, ValueList<string> Disks) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "take-host-away";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("disks", Disks)];

    internal override Duration Takes(Plan plan) => new(30);

    internal override ActText Text(Plan plan) =>
        new(
            $"Check that nothing is left on {plan.NameOf(Host)}, shut it down and unplug it",
            [
                .. Disks
                    .Select(d => plan.Disk(Host, d))
                    .OfType<Disk>()
                    .Select(d => new StepValue("disk to wipe or keep", $"{d.Id} ({d.Size.ToDecimalString()})", Literal: true)),
            ],
            "Every guest answers without it.",
            "Plug it in again.",
            "Plug it in again.",
            "Disks hold private data: wipe or keep them. Lift with two people; unplug the mains first."
        );

    internal override void Affect(SimHouse house, SimHost host, Plan plan) => house.Leave(Host);

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.HostIf(Host) is null)];
}
