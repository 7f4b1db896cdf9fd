using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes the first backup of a new guest.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="SystemDisk">The size of its system disk.</param>
/// <param name="Bulk">The size of its bulk data.</param>
internal sealed record FirstBackup(GuestId Guest, HostId? Host, ByteSize SystemDisk, ByteSize Bulk) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "first-backup";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [.. base.Values, Value("systemDiskBytes", SystemDisk.Bytes), Value("bulkBytes", Bulk.Bytes)];

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override Duration Takes(Plan plan) =>
        new Duration(5)
        + plan.CopyTime(SystemDisk, (Host, plan.Guest(Guest)?.Placement?.SystemPool), plan.CopiedTo(Guest))
        + plan.CopyTime(Bulk, (Host, plan.Guest(Guest)?.Placement?.BulkPool), plan.CopiedTo(Guest));

    internal override ActText Text(Plan plan) =>
        new(
            "Take its first backup",
            [new("of", Bulk > ByteSize.Zero ? $"system disk {SystemDisk} and bulk data {Bulk}" : $"system disk {SystemDisk}")],
            "The backup's size is about what is in use, not a fraction of it: every volume is in.",
            "A volume missing? It is not ticked for backup.",
            "Delete the backup."
        );

    internal override bool Copies => true;

    internal override void Affect(SimHouse house, Plan plan) => house.Guest(Guest).Backup = house.Guest(Guest).Size;

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), Whole()];
}
