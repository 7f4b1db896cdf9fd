using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
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

    internal override Duration Takes(Plan plan) => new(15);

    internal override ActText Text(Plan plan) =>
        new(
            "Take its first backup",
            [new("of", Bulk > ByteSize.Zero ? $"system disk {SystemDisk} and bulk data {Bulk}" : $"system disk {SystemDisk}")],
            "The backup's size is about what is in use, not a fraction of it: every volume is in.",
            "A volume missing? It is not ticked for backup.",
            "Delete the backup."
        );
}
